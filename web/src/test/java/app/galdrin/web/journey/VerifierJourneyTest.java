package app.galdrin.web.journey;

import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.sitting.Sitting;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What a verifier comes for. */
@GaldrinTest
class VerifierJourneyTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private People people;

    @Autowired
    private MarkSheets sheets;

    /** Journey 11: drawn with what the page offers, decided on the evidence by one key. */
    @Test
    void aSample_isDrawnAsOffered_agreedTo_andReturned() {
        Centre centre = centres.plates();
        centres.reference(centre);
        for (String name : List.of("Ada", "Ben")) {
            Sitting sitting = centres.sat(centre, name, "0.34", true);
            sheets.override(
                    centre.instructor(),
                    sitting,
                    sitting.task().practical().scheme().criteria().get(0).id(),
                    java.math.BigDecimal.ONE,
                    "looked at again",
                    UUID.randomUUID().toString());
            sheets.sign(centre.instructor(), sitting, UUID.randomUUID().toString());
        }
        people.add(centre.id(), Role.VERIFIER, "Vera", "v." + centre.id(), Centre.PASSWORD);
        try (var vera = new Browser(port, 1280, 800).signIn("v." + centre.id(), Centre.PASSWORD)) {
            vera.press("Moderation");
            vera.press("Draw the sample");
            vera.waitForText("main", "0 of 2 sheets decided");
            vera.press("Ada");
            vera.waitForText("#sampled", "0 of 2");
            vera.find("body").sendKeys("a");
            vera.waitForText("main h1", "Ben");
            vera.press("Return");
            vera.waitForText("[role=alert]", "needs a reason");
            vera.fill("Reason", "the plan was never read");
            vera.press("Return");
            vera.waitForText("main", "2 of 2 sheets decided, 1 returned");
            assertTrue(vera.text("main").contains("the plan was never read"));
        }
    }
}
