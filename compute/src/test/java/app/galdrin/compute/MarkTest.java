package app.galdrin.compute;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Marking and proving from the command line, as processes of their own, on the sittings that are benchmarked. */
class MarkTest {

    private static final Path HERE = Path.of("../benchmarks/src/main/sittings");
    private static final String TASK = HERE.resolve("task.json").toString();
    private static final Path SITTINGS = HERE.resolve("sittings.ndjson");

    @TempDir
    private Path folder;

    private Ran run(Class<?> command, String input, String... arguments) throws Exception {
        return Ran.process(folder, command, input, arguments);
    }

    @Test
    void sittings_areMarkedFromFiles_andFromStandardInput() throws Exception {
        var all = run(Mark.class, "", TASK, SITTINGS.toString());
        assertEquals(0, all.status(), all.err());
        List<String> sheets = all.out().lines().toList();
        assertEquals(Files.readAllLines(SITTINGS).size(), sheets.size());
        assertTrue(sheets.get(1).contains("\"slips\":[[\"methodSign\"]]"), "every sign the wrong way round");
        assertTrue(sheets.get(2).contains("\"slips\":[[\"frontRearSwapped\"]]"), "gaps front for rear");
        assertFalse(sheets.get(3).contains("\"slips\":[["), "figures that nothing explains");
        assertTrue(all.out().startsWith("{\"id\":\"careful\",\"engine\":"), all.out());
        assertEquals(
                all.out(), run(Mark.class, Files.readString(SITTINGS), TASK).out());
        String first = Files.readAllLines(SITTINGS).get(0);
        Path pretty = Files.writeString(folder.resolve("one.json"), first.replace(",", ",\r\n  "));
        var one = run(Mark.class, "", TASK, pretty.toString());
        assertEquals(all.out().lines().findFirst().orElseThrow() + "\n", one.out(), "over many lines");
        assertTrue(run(Mark.class, first, "--explain", TASK).out().contains("\"steps\":[[{\"formula\""));
    }

    @Test
    void whatCanNotBeMarked_isSaid_andInTheExitStatus() throws Exception {
        var faulty = run(Mark.class, "{\"id\":\"a\",\"wrote\":{\"toe/none/0/0\":\"1\"}}\n", TASK);
        assertEquals(1, faulty.status());
        assertTrue(faulty.out().contains("There is no wrote.toe/none/0/0 on this sheet."), faulty.out());
        var unread = run(Mark.class, "{\"id\":\"a\",\"wrote\":{\"toe/hubGap.fl/1/0\":\"half a thumb\"}}\n", TASK);
        assertTrue(
                unread.out().contains("“half a thumb” at wrote.toe/hubGap.fl/1/0 cannot be read here."), unread.out());
        var away = run(Mark.class, "", TASK, "nowhere.json");
        assertEquals(2, away.status());
        assertTrue(away.err().contains("There is no file nowhere.json"), away.err());
        Path broken = Files.writeString(
                folder.resolve("task.json"),
                Files.readString(Path.of(TASK)).replace("\"school\":\"A\"", "\"school\":\"C\""));
        var refused = run(Mark.class, "", broken.toString());
        assertEquals(2, refused.status());
        assertTrue(refused.err().contains("Task, school: “C” is not known here."), refused.err());
    }

    @Test
    void theProof_isOneObjectOfShares() throws Exception {
        var proof = run(Prove.class, "", "--sittings", "3", "--seed", "3", "--json");
        assertEquals(0, proof.status(), proof.err());
        for (String key : List.of(
                "honestAccused",
                "honestWorkingLost",
                "honestRepeatabilityLost",
                "honestReadingLost",
                "exactFailsAsLeft",
                "slipNamed",
                "readingSlipNamed",
                "unlistedNamed",
                "coverage")) {
            assertTrue(proof.out().matches("\\{.*\"" + key + "\":[01]\\.[0-9E-]+[,}].*\n"), key + proof.out());
        }
        assertEquals(
                proof.out(),
                run(Prove.class, "", "--sittings", "3", "--seed", "3", "--json").out());
        assertEquals(2, run(Prove.class, "", "--sittings", "0").status());
        String flags =
                run(Prove.class, "", "--sittings", "4", "--only", "flags").out();
        assertTrue(flags.contains("| honest sittings accused of a slip |"), flags);
        assertTrue(flags.contains("flags 0.00") && !flags.contains("battens"), flags);
        var unknown = run(Prove.class, "", "--only", "flags,rods");
        assertEquals(2, unknown.status());
        assertTrue(unknown.err().contains("rearString"), unknown.err());
    }
}
