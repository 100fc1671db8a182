package app.galdrin.core.marking;

import static app.galdrin.core.marking.MarkerTest.read;
import static app.galdrin.core.marking.MarkerTest.state;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.evaluate.LineStream;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.marking.written.MarksWriter;
import app.galdrin.core.pack.PackFault;
import app.galdrin.core.pack.TaskPack;
import app.galdrin.core.pack.TaskPack.Reading.ParsedPack;
import app.galdrin.core.pack.TaskPack.Reading.Refusal;
import app.galdrin.core.procedure.paper.Intermediate;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.spec.Vehicle;
import app.galdrin.core.spec.written.SheetDocument;
import app.galdrin.core.spec.written.SheetWriter;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Reason;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.SchemeDefaults;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Work;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sittings and marks as lines of JSON. */
class MarksWriterTest {

    private static final Vehicle VAN = new Vehicle("Orlin", "Hopper", "van", "MW 9", Axle.FRONT, Side.LEFT);

    private static Schema schema(Class<?> beside, String name) {
        return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(beside.getResourceAsStream(name));
    }

    private static String pack(Bench bench) {
        return TaskPack.write(bench.practical(), SheetDocument.write(SheetWriter.draft(VAN, bench.assignment.sheet())));
    }

    private static String sitting(String id, Bench bench) {
        References references = bench.references();
        return "{\"id\":\"" + id + "\",\"wrote\":" + lines(bench.answers().standing()) + ",\"asFound\":"
                + lines(references.asFound().standing()) + ",\"asLeft\":"
                + lines(references.asLeft().standing()) + "}";
    }

    private static String lines(Map<LineKey, WrittenValue> standing) {
        return standing.entrySet().stream()
                .map(e -> "\"" + e.getKey().key() + "\":\"" + e.getValue().text() + "\"")
                .sorted()
                .collect(Collectors.joining(",", "{", "}"));
    }

    private static List<String> marks(String pack, boolean explain, String... sittings) throws IOException {
        var read = (ParsedPack) TaskPack.read(pack);
        var writer =
                new MarksWriter(read.pack().assignment(), fault -> fault.code().key(), explain);
        var out = new ByteArrayOutputStream();
        new LineStream(writer, 1, LineStream.Progress.NONE)
                .run(new ByteArrayInputStream(String.join("\n", sittings).getBytes(StandardCharsets.UTF_8)), out);
        return out.toString(StandardCharsets.UTF_8).lines().toList();
    }

    /** Every kind of evidence that this task can have, by hands that err and slip. */
    private static Bench sat() {
        var random = new SplittableRandom(5);
        Bench bench = read().readByHand(state(3.2, -0.4, -0.6, 0.3, -0.1), random)
                .referenceByHand(state(3.2, -0.4, -0.6, 0.3, -0.1), random)
                .leftAt(state(3.2, -0.4, -0.6, 0.1, 0.1));
        bench.work(f -> -bench.honest(f));
        bench.write("judge/totalToe.front/0/0", "inside").write("judge/adjustable.toe.front/0/0", "no");
        return bench.write("plan/rod.front.left.way/0/0", "lengthen")
                .write("plan/rod.front.left.amount/0/0", "1/4")
                .write("plan/rod.front.right.way/0/0", "leave");
    }

    @Test
    void aSitting_comesBackWithTheMarksOfTheDesk_underTheSchemas() throws Exception {
        Bench bench = sat();
        String pack = pack(bench);
        String sitting = sitting("s1", bench);
        String marks = marks(pack, true, sitting).get(0);
        MarkSheet desk = bench.mark();
        assertTrue(
                marks.startsWith("{\"id\":\"s1\",\"engine\":\"" + Marker.ENGINE + "\",\"marks\":" + desk.total()),
                marks);
        assertTrue(marks.contains("\"percent\":" + desk.percent()), marks);
        assertTrue(marks.contains("\"slips\":[[\"methodSign\"]]"), "the slip by name");
        assertTrue(marks.contains("\"steps\":[[{\"formula\":"), "the working, step by step");
        assertFalse(marks(pack, false, sitting).get(0).contains("\"steps\""));
        String twice = sitting.replace("\"wrote\":{", "\"wrote\":{\"work/toe.front.left/0/0\":\"9\",");
        assertEquals(List.of(marks), marks(pack, true, twice), "of a name given twice the last counts");
        assertEquals(List.of(), schema(TaskPack.class, "pack.schema.json").validate(pack, InputFormat.JSON));
        assertEquals(List.of(), schema(MarksWriter.class, "sitting.schema.json").validate(sitting, InputFormat.JSON));
        assertEquals(List.of(), schema(MarksWriter.class, "marks.schema.json").validate(marks, InputFormat.JSON));
    }

    /** Turn and reasons in a checklist, figures on the way, a band in steps. */
    @Test
    void whatATaskMayAskBeyondTheUsual_isUnderTheSchemasToo() throws Exception {
        Practical usual = read().practical();
        List<Step> steps = usual.steps().stream()
                .map(step -> step instanceof Work work
                        ? new Work(
                                work.id(),
                                work.asked().stream()
                                        .map(MarksWriterTest::withSkew)
                                        .toList())
                        : step)
                .collect(Collectors.toCollection(ArrayList::new));
        steps.set(
                0,
                new Checklist(
                        "prepare",
                        List.of(
                                new Checklist.Item("boots", false, false, false, List.of(new Reason(List.of("fall")))),
                                new Checklist.Item("condition", false, false, true, List.of()))));
        Practical asked = usual.with(steps);
        Band stepped = Band.stepped(0.001, List.of(new Band.Step(0.002, 60), new Band.Step(0.004, 30)));
        List<Criterion> criteria = SchemeDefaults.of(asked, read().assignment.sheet()).criteria().stream()
                .map(c -> c.id().aspect() == Aspect.READING ? all(c, stepped) : c)
                .toList();
        Bench bench = Bench.of(
                        asked.with(new Scheme(criteria, 0)), read().assignment.sheet())
                .read(state(3.2, -0.4, -0.6, 0.3, -0.1))
                .reference(state(3.2, -0.4, -0.6, 0.2, -0.1))
                .write("work/toe.front.left/0/0", "1")
                .write("work/toe.front.left.via.skew.left/0/0", "2");
        String sitting = sitting("s1", bench)
                .replace(
                        "\"wrote\":{",
                        "\"wrote\":{\"prepare/condition/0/0\":\"done\",\"prepare/boots/0/0\":\"done\","
                                + "\"prepare/boots.why/0/0\":\"It falls\",");
        String pack = pack(bench);
        String marks = marks(pack, false, sitting).get(0);
        for (String said : List.of(
                "\"item\":\"condition\",\"done\":true,\"before\":\"boots\",\"credit\":0",
                "\"answer\":\"It falls\",\"reasons\":[{\"words\":[\"fall\"],\"found\":true}],\"credit\":1",
                "\"way\":[{\"what\":\"skew.left\",\"honest\":",
                "\"percent\":60},{\"within\":")) {
            assertTrue(marks.contains(said), said + " in " + marks);
        }
        assertEquals(List.of(), schema(TaskPack.class, "pack.schema.json").validate(pack, InputFormat.JSON));
        assertEquals(List.of(), schema(MarksWriter.class, "sitting.schema.json").validate(sitting, InputFormat.JSON));
        assertEquals(List.of(), schema(MarksWriter.class, "marks.schema.json").validate(marks, InputFormat.JSON));
    }

    private static Work.Item withSkew(Work.Item item) {
        boolean left = item.figure().key().equals("toe.front.left");
        return new Work.Item(
                item.figure(), item.from(), item.unit(), left ? List.of(Intermediate.SKEW_LEFT) : List.of());
    }

    private static Criterion all(Criterion criterion, Band band) {
        return new Criterion(
                criterion.id(),
                criterion.marks(),
                criterion.mustPass(),
                criterion.bands().keySet().stream().collect(Collectors.toMap(f -> f, f -> band)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "no sitting|malformed|",
                "{'wrote':{}}|missing|id",
                "{'id':1,'wrote':{}}|malformed|id",
                "{'id':'a'}|missing|wrote",
                "{'id':'a','wrote':{},'more':1}|unknownField|more",
                "{'id':'a','wrote':[]}|malformed|wrote",
                "{'id':'a','wrote':{'toe/nothing/0/0':'1'}}|unknownField|wrote.toe/nothing/0/0",
                "{'id':'a','wrote':{'work/toe.front.left/0/0':1}}|malformed|wrote.work/toe.front.left/0/0",
                "{'id':'a','wrote':{'work/toe.front.left/0/0':'much'}}|malformed|wrote.work/toe.front.left/0/0",
                "{'id':'a','wrote':{},'asFound':{'work/toe.front.left/0/0':'900'}}|outOfRange|asFound.work/toe.front.left/0/0",
            })
    void aFaultySitting_isNamedAndTheOthersAreMarked(String line, String code, String field) throws Exception {
        Bench bench = sat();
        List<String> marks = marks(pack(bench), false, line.replace('\'', '"'), sitting("s2", bench));
        String at = field == null ? "" : "\"field\":\"" + field + "\",";
        assertTrue(marks.get(0).contains("\"error\":{\"code\":\"" + code + "\"," + at), marks.get(0));
        assertTrue(marks.get(1).startsWith("{\"id\":\"s2\",\"engine\""), marks.get(1));
        assertEquals(
                List.of(), schema(MarksWriter.class, "marks.schema.json").validate(marks.get(0), InputFormat.JSON));
    }

    @Test
    void aPack_isRefusedWithAllItsFaultsTogether() {
        String pack = pack(sat());
        String broken = pack.replace("\"school\":\"A\"", "\"school\":\"C\"")
                .replaceFirst("\"wheelbase\" : \"[^\"]+\"", "\"wheelbase\":\"short\"")
                .replaceFirst("\"version\":1", "\"version\":1,\"floor\":{\"pitch\":11,\"yaw\":1}");
        var refused = (Refusal) TaskPack.read(broken);
        String said = refused.faults().toString();
        assertEquals(4, refused.faults().size(), said);
        assertTrue(said.contains("floor.pitch") && said.contains("floor.yaw"), said);
        assertTrue(refused.faults().stream().anyMatch(PackFault.OfTask.class::isInstance), said);
        assertTrue(refused.faults().stream().anyMatch(PackFault.OfSheet.class::isInstance), said);
        for (String whole : List.of("", "{}", pack.replace("galdrin.pack", "galdrin.task"), pack + "x")) {
            assertTrue(TaskPack.read(whole) instanceof Refusal, whole);
        }
    }
}
