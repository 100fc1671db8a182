package app.galdrin.web.journey;

import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What the office comes for. */
@GaldrinTest
class OfficeJourneyTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private People people;

    /** Journey 13: a class seen, somebody added who is new, moved on, his name put right. */
    @Test
    void peopleGoInAndOut_andANameIsPutRight() {
        Centre centre = centres.plates();
        UUID next = people.makeClass(centre.id(), "Next term", List.of());
        people.add(centre.id(), Role.OFFICE, "Olive", "o." + centre.id(), Centre.PASSWORD);
        try (var olive = new Browser(port, 1280, 800).signIn("o." + centre.id(), Centre.PASSWORD)) {
            olive.press("Classes");
            olive.press("Class");
            olive.fill("Names, one a line", "Wim Tannre");
            olive.press("Add to the class");
            olive.waitForText("#hand-out", "Wim Tannre");
            olive.press("Wim Tannre");
            olive.waitFor(() -> olive.path().startsWith("/people/"));
            olive.fill("Name", "Wim Tanner");
            olive.press("Save name");
            olive.waitForText("main h1", "Wim Tanner");
            olive.press("Classes");
            olive.press("Class");
            olive.fill("Class to move Wim Tanner to", "Next term");
            olive.all("tbody tr").stream()
                    .filter(row -> row.getText().contains("Wim Tanner"))
                    .findFirst()
                    .orElseThrow()
                    .findElement(org.openqa.selenium.By.cssSelector("button"))
                    .click();
            olive.waitForText("[role=status]", "Wim Tanner is now in Next term");
        }
        assertEquals("Wim Tanner", people.classMembers(centre.id(), next).get(0).displayName());
    }
}
