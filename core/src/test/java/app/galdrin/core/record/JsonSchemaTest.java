package app.galdrin.core.record;

import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.core.Outcome;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.StringWriter;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.node.ObjectNode;

/** The published schema against every golden case: it lets through exactly what the engine's own checking does. */
class JsonSchemaTest {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final JsonNode SCHEMA = JSON.readTree(schema());
    private static final SchemaRegistry REGISTRY =
            SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12);
    private static final Schema RECORDS = REGISTRY.getSchema(SCHEMA);

    private static String schema() {
        var text = new StringWriter();
        try (JsonGenerator json = new JsonFactory().createGenerator(ObjectWriteContext.empty(), text)) {
            JsonSchema.write(json, RecordKinds.all());
        }
        return text.toString();
    }

    static Stream<String> cases() {
        return RecordKinds.all().stream()
                .flatMap(kind -> Records.lines(kind.contract().name()));
    }

    @ParameterizedTest
    @MethodSource("cases")
    void schema_refusesExactlyWhatCheckingFieldByFieldRefuses(String line) {
        var record = Records.parse(line);
        RecordKind kind = RecordKinds.named((String) record.get("kind")).orElseThrow();
        boolean legal = record.get("input") instanceof JsonObject input
                && kind.contract().input().read(input) instanceof Outcome.Value;
        assertEquals(legal, RECORDS.validate(line, InputFormat.JSON).isEmpty(), line);
    }

    @ParameterizedTest
    @MethodSource("cases")
    void schemaOfResults_describesEveryExpectedResult(String line) {
        JsonNode record = JSON.readTree(line);
        Optional<JsonNode> result = Optional.ofNullable(record.get("expect").get("result"));
        var schema = ((ObjectNode) SCHEMA.deepCopy())
                .retain(List.of("$schema", "$defs"))
                .put("$ref", "#/$defs/" + record.get("kind").stringValue() + ".result");
        Schema results = REGISTRY.getSchema(schema);
        result.ifPresent(r -> {
            assertEquals(List.of(), results.validate(r), line);
            assertEquals(
                    1,
                    results.validate(((ObjectNode) r.deepCopy()).put("more", 1)).size());
        });
    }
}
