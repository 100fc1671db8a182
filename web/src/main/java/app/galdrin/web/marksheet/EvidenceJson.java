package app.galdrin.web.marksheet;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.Evidence.GivenReason;
import app.galdrin.core.marking.Evidence.JudgedFigure;
import app.galdrin.core.marking.Evidence.MissingEntry;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.ReadingEvidence;
import app.galdrin.core.marking.WorkingEvidence;
import app.galdrin.core.procedure.PlaceId;
import app.galdrin.core.record.Formula;
import app.galdrin.core.task.Criterion;
import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.Nulls;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/** Evidence as it is stored with a mark: its kind, keys and numbers. */
@Component
public class EvidenceJson {

    /** The version that is written now; later readers convert older ones. */
    private static final int VERSION = 1;

    private static final TypeReference<List<Evidence>> EVIDENCE = new TypeReference<>() {};

    private static final TypeReference<Map<UUID, Integer>> SEQS = new TypeReference<>() {};

    private final JsonMapper mapper = JsonMapper.builder()
            .addMixIn(Evidence.class, Kinds.class)
            // what was stored before a kind said more: no slip was called chance then
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .withConfigOverride(
                    List.class, list -> list.setNullHandling(JsonSetter.Value.forValueNulls(Nulls.AS_EMPTY)))
            .addModule(new SimpleModule()
                    .addSerializer(FigureId.class, new KeyWriter<>(FigureId::key))
                    .addDeserializer(
                            FigureId.class,
                            new KeyReader<>(key -> FigureId.parse(key).orElseThrow()))
                    .addSerializer(PlaceId.class, new KeyWriter<>(PlaceId::key))
                    .addDeserializer(PlaceId.class, new KeyReader<>(PlaceId::parse))
                    .addSerializer(Formula.class, new FormulaWriter())
                    .addDeserializer(Formula.class, new FormulaReader()))
            .build();

    /** The kinds of evidence by the names they are stored under. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "is")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = MissingEntry.class, name = "missing"),
        @JsonSubTypes.Type(value = Evidence.Item.class, name = "item"),
        @JsonSubTypes.Type(value = GivenReason.class, name = "why"),
        @JsonSubTypes.Type(value = Evidence.Answer.class, name = "answer"),
        @JsonSubTypes.Type(value = ReadingEvidence.class, name = "reading"),
        @JsonSubTypes.Type(value = Evidence.Repeats.class, name = "repeats"),
        @JsonSubTypes.Type(value = WorkingEvidence.class, name = "working"),
        @JsonSubTypes.Type(value = Evidence.Target.class, name = "target"),
        @JsonSubTypes.Type(value = JudgedFigure.class, name = "judged"),
        @JsonSubTypes.Type(value = Evidence.FigureComparison.class, name = "compared"),
        @JsonSubTypes.Type(value = Evidence.CanBeAdjusted.class, name = "canBeAdjusted"),
        @JsonSubTypes.Type(value = Evidence.Effect.class, name = "effect"),
        @JsonSubTypes.Type(value = Evidence.Move.class, name = "move"),
        @JsonSubTypes.Type(value = Evidence.Sequence.class, name = "sequence"),
        @JsonSubTypes.Type(value = Evidence.NoMove.class, name = "noMove"),
        @JsonSubTypes.Type(value = Evidence.TimeTaken.class, name = "time"),
        @JsonSubTypes.Type(value = Evidence.AsLeft.class, name = "asLeft"),
        @JsonSubTypes.Type(value = Evidence.NotAdjustable.class, name = "notAdjustable")
    })
    private interface Kinds {}

    /** Stores a value as its key. */
    private static final class KeyWriter<T> extends ValueSerializer<T> {
        private final Function<T, String> key;

        KeyWriter(Function<T, String> key) {
            this.key = key;
        }

        @Override
        public void serialize(T value, JsonGenerator json, SerializationContext context) {
            json.writeString(key.apply(value));
        }
    }

    private static final class KeyReader<T> extends ValueDeserializer<T> {
        private final Function<String, T> parse;

        KeyReader(Function<String, T> parse) {
            this.parse = parse;
        }

        @Override
        public T deserialize(JsonParser json, DeserializationContext context) {
            return parse.apply(json.getString());
        }
    }

    /** Its key, then what a person does there: a stored step is shown as it was, and is not worked again. */
    private static final class FormulaWriter extends ValueSerializer<Formula> {
        @Override
        public void serialize(Formula formula, JsonGenerator json, SerializationContext context) {
            json.writeStartArray();
            json.writeString(formula.key());
            formula.operations().forEach(operation -> json.writeString(operation.name()));
            json.writeEndArray();
        }
    }

    private static final class FormulaReader extends ValueDeserializer<Formula> {
        @Override
        public Formula deserialize(JsonParser json, DeserializationContext context) {
            String[] names = context.readValue(json, String[].class);
            return Formula.of(
                    names[0],
                    Arrays.stream(names).skip(1).map(Formula.Operation::valueOf).toArray(Formula.Operation[]::new));
        }
    }

    public String seqs(Map<UUID, Integer> seqs) {
        return mapper.writeValueAsString(seqs);
    }

    Map<UUID, Integer> readSeqs(String seqs) {
        return mapper.readValue(seqs, SEQS);
    }

    public MarkSheetRow.LineRow toRow(MarkLine line, int ordinal) {
        return new MarkSheetRow.LineRow(
                ordinal,
                line.criterion().step(),
                line.criterion().aspect(),
                line.available(),
                line.mustPass(),
                new BigDecimal(Double.toString(line.credit())),
                line.computed(),
                line.override().map(MarkLine.Override::marks).orElse(null),
                line.override().map(MarkLine.Override::reason).orElse(null),
                VERSION,
                mapper.writerFor(EVIDENCE).writeValueAsString(line.evidence()));
    }

    MarkLine toLine(MarkSheetRow.LineRow row) {
        return new MarkLine(
                new Criterion.Id(row.step(), row.aspect()),
                row.available(),
                row.mustPass(),
                row.credit().doubleValue(),
                row.computed(),
                mapper.readValue(row.evidence(), EVIDENCE),
                Optional.ofNullable(row.given())
                        .map(marks -> new MarkLine.Override(marks, String.valueOf(row.reason()))));
    }
}
