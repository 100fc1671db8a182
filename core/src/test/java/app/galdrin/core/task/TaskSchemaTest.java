package app.galdrin.core.task;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Keyed;
import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.paper.Intermediate;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.start.TaskStart;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The published schema of task documents lets through what is read, and refuses what no reading takes. */
class TaskSchemaTest {

    private static final String TEXT = TaskSchema.text();
    private static final Schema SCHEMA = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(TEXT, InputFormat.JSON);

    private static String page() throws IOException {
        return Files.readString(Path.of("../docs/task-format.md"));
    }

    private static String example() throws IOException {
        String page = page();
        int begin = page.indexOf("```json") + "```json".length();
        return page.substring(begin, page.indexOf("```", begin)).strip();
    }

    private static boolean isValid(String document) {
        return SCHEMA.validate(document, InputFormat.JSON).isEmpty();
    }

    @Test
    void theExampleOfThePage_hasEveryKindOfStep_andCanBeSetOnTheVan() throws IOException {
        assertTrue(
                isValid(example()),
                () -> SCHEMA.validate(TEXT, InputFormat.JSON).toString());
        var read = assertInstanceOf(TaskDocument.Reading.ParsedTask.class, TaskDocument.read(example()));
        assertEquals(List.of(), read.practical().faults(Vehicles.van()));
        assertEquals(
                StepKinds.all().stream().map(StepKind::key).toList(),
                read.practical().steps().stream()
                        .map(Step::kind)
                        .distinct()
                        .sorted()
                        .toList());
        assertTrue(isValid(TaskDocument.write(read.practical())));
    }

    /** Who writes a document elsewhere reads on the page what there is to ask for. */
    @Test
    void thePage_namesEveryProcedureWithWhatItTells() throws IOException {
        for (Procedure procedure : Procedures.all()) {
            String row = "| `" + procedure.key() + "` | "
                    + quoted(procedure.sees().stream().map(FigureId::key)) + " | "
                    + quoted(procedure.taught().stream()) + " |";
            assertTrue(page().contains(row), row);
        }
    }

    private static String quoted(Stream<String> words) {
        return words.map(w -> "`" + w + "`").collect(Collectors.joining(", "));
    }

    @ParameterizedTest
    @EnumSource(TaskStart.class)
    void everyReadyMadePractical_isValid(TaskStart start) {
        var practical = start.on(Vehicles.van(), "x", OrderSchool.B, AnswerUnit.DEGREES_MINUTES);
        assertTrue(isValid(TaskDocument.write(practical)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"version\": 2|\"version\": 3",
                "\"simple\"|\"strict\"",
                "\"repeats\":2|\"repeats\":11",
                "\"kind\":\"judge\"|\"kind\":\"guess\"",
                "\"aspect\":\"reading\"|\"aspect\":\"luck\"",
                "\"unit\":\"deg\"|\"unit\":\"rad\"",
                "\"title\":\"x\"|\"name\":\"x\"",
                "\"id\":\"work\"|\"id\":\"_work\"",
                "\"toe.front.left\"|\"toe front left\"",
                "\"usual\":true|\"steps\":[{\"within\":9,\"percent\":50}]",
            })
    void whatNoReadingTakes_theSchemaRefuses(String right, String wrong) {
        String document = TaskDocument.write(TaskStart.TOE.on(Vehicles.van(), "x", OrderSchool.A, AnswerUnit.DEGREES))
                .replace("\"version\":2", "\"version\": 2");
        assertTrue(document.contains(right), document);
        String changed = document.replace(right, wrong);
        assertTrue(!isValid(changed));
        assertInstanceOf(TaskDocument.Reading.Refusal.class, TaskDocument.read(changed));
    }

    /** A word of the format stands in the schema, and no other. */
    @Test
    void words_areThoseOfTheProgram() {
        words(OrderSchool.values());
        words(DecisionRule.values());
        words(Mode.values());
        words(OutcomeSchool.values());
        words(AnswerUnit.values());
        words(Aspect.values());
        words(Intermediate.values());
    }

    private static void words(Keyed[] all) {
        String quoted = Arrays.stream(all).map(k -> '"' + k.key() + '"').collect(Collectors.joining(","));
        assertTrue(TEXT.replaceAll("\\s", "").contains("\"enum\":[" + quoted + "]"), quoted);
    }
}
