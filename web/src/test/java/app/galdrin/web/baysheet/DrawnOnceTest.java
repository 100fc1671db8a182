package app.galdrin.web.baysheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.quantity.AngleDisplay;
import app.galdrin.core.quantity.LengthDisplay;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.account.People;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What a class begins with is drawn once, and nothing of one sheet comes with it to another. */
@GaldrinTest
class DrawnOnceTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private People people;

    private Centre centre;
    private Sitting one;
    private Sitting other;
    private Visitor first;
    private Visitor second;

    @BeforeEach
    void signIn() {
        centre = centres.fullFront();
        one = centre.sitting(tasks, sittings);
        other = centre.sitting(tasks, sittings, centre.neighbour());
        first = visitor(centre.apprentice());
        second = visitor(centre.neighbour());
    }

    private Visitor visitor(SignedIn person) {
        return new Visitor(port).signIn(person.signIn(), Centre.PASSWORD);
    }

    private static String page(Visitor visitor, Sitting sitting, String step) {
        return visitor.get("/sittings/" + sitting.id() + "?step=" + step).body();
    }

    /** The page without what is its sheet's own. */
    private static String common(String page, Visitor visitor, Sitting sitting) {
        return page.replace(visitor.token(), "TOKEN")
                .replace(sitting.id().toString(), "SITTING")
                .replace(sitting.names(), "NAMES")
                .replaceAll("name=\"(form|key)\" value=\"[^\"]+\"", "KEY");
    }

    @Test
    void twoBlankSheets_differInNothingButTheirOwn() {
        String here = page(first, one, "toe");
        String there = page(second, other, "toe");
        assertEquals(common(here, first, one), common(there, second, other));
        assertFalse(there.contains(one.id().toString()) || there.contains(first.token()));
        assertTrue(there.contains(other.id().toString()) && there.contains(second.token()));
        assertNotEquals(here, page(first, one, "camber"), "another step is shown");
    }

    @Test
    void whatOneWrote_isOnHisSheetAlone() {
        page(second, other, "toe");
        String line = "toe/wheels.rr.frontGap/2/0";
        assertEquals(
                200,
                first.postAsScript(
                                "/sittings/" + one.id() + "/entries",
                                Map.of("line", line, "text", "78.5", "key", "key-of-one"))
                        .statusCode());
        assertTrue(page(first, one, "toe").contains("value=\"78.5\""));
        assertFalse(page(second, other, "toe").contains("value=\"78.5\""));
    }

    /** In the centre's own units, also where it has changed its mind since the sheet was drawn. */
    @Test
    void aSheet_isShownAsItsReaderWantsFigures() {
        assertFalse(page(first, one, "work").contains("\u2033"));
        people.show(centre.id(), LengthDisplay.SIXTEENTHS, AngleDisplay.DEGREES);
        assertTrue(page(first, one, "work").contains("\u2033"));
    }
}
