package app.galdrin.web.baysheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Entries.Outcome.Refusal;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.Tape;
import app.galdrin.web.task.Tasks;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The calculator beside the figures, on a phone: it works as the core does, also without a network, and its tape is kept. */
@GaldrinTest
class CalculatorTest {

    private static final Path CASES = Path.of("..", "core", "src", "test", "resources", "calculations.csv");

    private static final String WORK_ALL = """
            const main = document.querySelector('script[type=module]').src;
            const { work } = await import(main.replace('main.js', 'calculation.js'));
            return arguments[0].map(line => work(line)).map(r => r.fault ?? String(r.value));
            """;

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private Entries entries;

    private Browser bo;

    @BeforeEach
    void open() {
        bo = new Browser(port, 390, 844);
    }

    @AfterEach
    void close() {
        bo.close();
    }

    @Test
    void theScript_worksEveryLineThatTheCoreWorks() throws IOException {
        List<String> cases = Files.readAllLines(CASES);
        List<String> lines =
                cases.stream().map(c -> c.substring(0, c.lastIndexOf(';'))).toList();
        List<?> results = (List<?>) bo.go("/sign-in").scriptLater(WORK_ALL, lines);
        for (int i = 0; i < cases.size(); i++) {
            String gives = cases.get(i).substring(cases.get(i).lastIndexOf(';') + 1);
            String result = String.valueOf(results.get(i));
            if (gives.matches("-?[0-9.]+")) {
                assertEquals(Double.parseDouble(gives), Double.parseDouble(result), 1e-6, cases.get(i));
            } else {
                assertEquals(gives, result, cases.get(i));
            }
        }
    }

    @Test
    void whatWasWorked_goesIntoTheFigure_staysOnTheTape_andIsReadAtTheDesk() {
        Centre centre = centres.plates();
        Sitting sitting = centre.sitting(tasks, sittings);
        bo.signIn(centre.apprentice().signIn(), Centre.PASSWORD).go("/sittings/" + sitting.id() + "?step=work");
        bo.click(".calculator summary");
        bo.fill("Calculate", "asin(1 1/2");
        assertEquals("", bo.text("[data-calculated]"), "half a line is no mistake");
        bo.click("[data-equals]");
        bo.waitForText("[data-calculated]", "Check the brackets");
        bo.offline(true);
        bo.fill("Calculate", "2 × asin(1.5/(2 × 400))");
        bo.waitForText("[data-calculated]", "= 0.214859");
        bo.click("[data-equals]");
        bo.click("[data-put]");
        assertEquals("0.21", bo.value(".worked:last-child input.at-box"));
        bo.offline(false);
        bo.waitForText("#status", "all saved");
        var log = sittings.log(centre.id(), sitting.id());
        assertEquals(
                List.of("2 × asin(1.5/(2 × 400)) 0.214859299"),
                Tape.of(log, "work").stream()
                        .map(c -> c.typed() + " " + c.value())
                        .toList());
        assertEquals(1, log.answers().standing().size(), "a calculation is no answer");
        bo.go("/sittings/" + sitting.id() + "?step=work").click(".calculator summary");
        assertTrue(bo.text("[data-tape-lines]").contains("= 0.214859"));

        Centre.write(sittings, entries, centre.apprentice(), sitting, "handIn/done/0/0", "done");
        assertFalse(
                Centre.write(sittings, entries, centre.apprentice(), sitting, "_tape/work/0/0", "1+1")
                        instanceof Entries.Outcome.Stands,
                "the tape ends with the sheet");
        try (var maud = new Browser(port, 1280, 800).signIn(centre.instructor().signIn(), Centre.PASSWORD)) {
            maud.go("/marking/" + sitting.id()).click(".tape summary");
            maud.waitForText(".tape", "= 0.214859");
        }
    }

    @Test
    void aTape_isNoPlaceForOtherWords() {
        Centre centre = centres.plates();
        Sitting sitting = centre.sitting(tasks, sittings);
        assertInstanceOf(
                Refusal.class,
                Centre.write(sittings, entries, centre.apprentice(), sitting, "_tape/work/0/0", "<b>hello</b>"));
    }
}
