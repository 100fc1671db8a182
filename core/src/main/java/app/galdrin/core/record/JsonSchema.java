package app.galdrin.core.record;

import java.util.Collection;
import java.util.List;
import java.util.stream.Stream;
import tools.jackson.core.JsonGenerator;

/**
 * The JSON Schema [JSON-SCHEMA] of records and their results, written from the same declarations that check them. What ties
 * fields of a record together is beyond a schema and left out.
 */
public final class JsonSchema {

    private final JsonGenerator json;

    private JsonSchema(JsonGenerator json) {
        this.json = json;
    }

    /** Writes the schema of records of these kinds; that of a kind's result is {@code #/$defs/<kind>.result}. */
    public static void write(JsonGenerator json, Collection<? extends RecordKind> kinds) {
        new JsonSchema(json).write(kinds.stream().map(RecordKind::contract).toList());
    }

    private void write(List<Contract> contracts) {
        json.writeStartObject();
        json.writeStringProperty("$schema", "https://json-schema.org/draft/2020-12/schema");
        json.writeStringProperty("$id", "urn:galdrin:measurement-record");
        json.writeStringProperty("type", "object");
        names("required", Stream.of("id", "kind", "input"));
        json.writeObjectPropertyStart("properties");
        type("id", "string");
        json.writeObjectPropertyStart("kind");
        names("enum", contracts.stream().map(Contract::name));
        json.writeEndObject();
        type("input", "object");
        json.writeEndObject();
        json.writeArrayPropertyStart("allOf");
        contracts.forEach(this::byKind);
        json.writeEndArray();
        json.writeObjectPropertyStart("$defs");
        contracts.forEach(contract -> {
            json.writeName(contract.name() + ".input");
            object(contract.input().fields());
            json.writeName(contract.name() + ".result");
            result(contract);
        });
        json.writeEndObject();
        json.writeEndObject();
    }

    private void byKind(Contract contract) {
        json.writeStartObject();
        json.writeObjectPropertyStart("if");
        json.writeObjectPropertyStart("properties");
        json.writeObjectPropertyStart("kind");
        json.writeStringProperty("const", contract.name());
        json.writeEndObject();
        json.writeEndObject();
        json.writeEndObject();
        json.writeObjectPropertyStart("then");
        json.writeObjectPropertyStart("properties");
        json.writeObjectPropertyStart("input");
        json.writeStringProperty("$ref", "#/$defs/" + contract.name() + ".input");
        json.writeEndObject();
        json.writeEndObject();
        json.writeEndObject();
        json.writeEndObject();
    }

    private void result(Contract contract) {
        List<Field> fields = contract.result().fields();
        json.writeStartObject();
        startObject(fields);
        if (contract.hasU()) {
            json.writeName(GroupField.U);
            doubts(fields);
        }
        endObject();
        json.writeEndObject();
    }

    private void object(List<Field> fields) {
        json.writeStartObject();
        startObject(fields);
        endObject();
        json.writeEndObject();
    }

    private void startObject(List<Field> fields) {
        json.writeStringProperty("type", "object");
        names("required", fields.stream().filter(Field::required).map(Field::name));
        json.writeObjectPropertyStart("properties");
        fields.forEach(field -> {
            json.writeName(field.name());
            field(field);
        });
    }

    private void endObject() {
        json.writeEndObject();
        json.writeBooleanProperty("additionalProperties", false);
    }

    private void field(Field field) {
        if (field instanceof GroupField group) {
            object(group.shape().fields());
            return;
        }
        json.writeStartObject();
        if (field instanceof NumberField number) {
            json.writeStringProperty("type", "number");
            range(number.range());
            if (!number.unit().symbol().isEmpty()) {
                json.writeStringProperty("x-unit", number.unit().symbol());
            }
        } else if (field instanceof WordField<?> word) {
            json.writeStringProperty("type", "string");
            names("enum", word.words().keySet().stream());
        } else if (field instanceof ListField list) {
            json.writeStringProperty("type", "array");
            json.writeName("items");
            object(list.element().fields());
        } else {
            json.writeStringProperty("type", field instanceof FlagField ? "boolean" : "string");
        }
        json.writeEndObject();
    }

    private void range(Range range) {
        if (Double.isInfinite(range.highest())) {
            return;
        }
        json.writeNumberProperty(range.lowestExcluded() ? "exclusiveMinimum" : "minimum", range.lowest());
        json.writeNumberProperty("maximum", range.highest());
        if (range.leastSize() > 0) {
            json.writeArrayPropertyStart("anyOf");
            bound("maximum", -range.leastSize());
            bound("minimum", range.leastSize());
            json.writeEndArray();
        }
    }

    private void bound(String keyword, double value) {
        json.writeStartObject();
        json.writeNumberProperty(keyword, value);
        json.writeEndObject();
    }

    /** The standard uncertainties of a result: its shape, with only the figures that carry one. */
    private void doubts(List<Field> fields) {
        json.writeStartObject();
        json.writeStringProperty("type", "object");
        json.writeObjectPropertyStart("properties");
        fields.stream().filter(JsonSchema::carriesDoubt).forEach(field -> {
            json.writeName(field.name());
            if (field instanceof GroupField group) {
                doubts(group.shape().fields());
            } else {
                json.writeStartObject();
                json.writeStringProperty("type", "number");
                json.writeNumberProperty("minimum", 0);
                json.writeEndObject();
            }
        });
        json.writeEndObject();
        json.writeBooleanProperty("additionalProperties", false);
        json.writeEndObject();
    }

    private static boolean carriesDoubt(Field field) {
        return field instanceof GroupField group
                ? group.shape().fields().stream().anyMatch(JsonSchema::carriesDoubt)
                : field instanceof NumberField number && number.carriesDoubt();
    }

    private void type(String name, String type) {
        json.writeObjectPropertyStart(name);
        json.writeStringProperty("type", type);
        json.writeEndObject();
    }

    private void names(String keyword, Stream<String> names) {
        json.writeArrayPropertyStart(keyword);
        names.forEach(json::writeString);
        json.writeEndArray();
    }
}
