package app.galdrin.web.journey;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.sitting.Sitting;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** What the office comes for. */
@GaldrinTest
class OfficeJourneyTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private People people;

    @Autowired
    private MarkSheets sheets;

    @Autowired
    private JdbcTemplate jdbc;

    /** Journey 13: a class seen, somebody added who is new, moved on, his name put right. */
    @Test
    void peopleGoInAndOut_andANameIsPutRight() {
        Centre centre = centres.plates();
        UUID next = people.makeClass(centre.id(), "Next term", List.of()).orElseThrow();
        people.add(centre.id(), Role.OFFICE, "Olive", "o." + centre.id(), Centre.PASSWORD);
        try (var olive = new Browser(port, 1280, 800).signIn("o." + centre.id(), Centre.PASSWORD)) {
            olive.press("Classes");
            olive.press("Class");
            olive.fill("Names, one per line", "Wim Tannre");
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

    /** Journey 13's end: the results of a class and one person's data go out as files; then the person is erased, and nothing else is. */
    @Test
    void resultsGoOut_andOnePersonsData_andThenItIsGone() {
        Centre centre = centres.plates();
        centres.reference(centre);
        Sitting ada = centres.sat(centre, "Ada", "0.34", true);
        Sitting ben = centres.sat(centre, "Ben", "-0.34", true);
        for (Sitting sitting : List.of(ada, ben)) {
            sheets.release(centre.instructor(), sitting, Ids.next().toString());
        }
        people.add(centre.id(), Role.OFFICE, "Olive", "o." + centre.id(), Centre.PASSWORD);
        try (var olive = new Browser(port, 1280, 800).signIn("o." + centre.id(), Centre.PASSWORD)) {
            olive.press("Classes");
            olive.press("Class");
            String results = file(olive, "Download results (CSV)");
            assertTrue(results.contains("Ada,") && results.contains("Ben,"), results);
            olive.press("People");
            olive.press("Ben");
            String data = file(olive, "Download personal data");
            assertTrue(data.contains("\"text\": \"-0.34\"") && !data.contains("Ada"), data);
            olive.press("Erase this person …");
            olive.waitForText("main", "1 sheet with");
            assertEquals(List.of(), olive.breaches());
            olive.fill("Type “Ben” to confirm", "Bert");
            olive.press("Erase for good");
            olive.waitForText("#fault", "“Bert” was read");
            olive.fill("Type “Ben” to confirm", "ben");
            olive.press("Erase for good");
            olive.waitForText("[role=status]", "The person and 1 sheet are erased");
            assertFalse(olive.text("main table").contains("Ben"));
            olive.press("Classes");
            olive.press("Class");
            results = file(olive, "Download results (CSV)");
            assertTrue(results.contains("Ada,") && !results.contains("Ben"), results);
        }
        assertEquals(List.of(), leftOf(ben));
        assertTrue(sheets.stored(ada).isPresent(), "nobody else's");
    }

    /** What a link on the page gives as a file. */
    private static String file(Browser who, String link) {
        return String.valueOf(who.scriptLater(
                "const link = [...document.querySelectorAll('a')].find(a => a.textContent.trim() === arguments[0]);"
                        + "return (await fetch(link.href)).text()",
                link));
    }

    /** The tables that still know a sitting. */
    private List<String> leftOf(Sitting sitting) {
        return jdbc
                .queryForList(
                        "select table_name from information_schema.columns where column_name = 'sitting_id' and table_schema = current_schema()",
                        String.class)
                .stream()
                .filter(table -> !jdbc.queryForList(
                                "select 1 from " + table + " where sitting_id = ? limit 1", sitting.id())
                        .isEmpty())
                .toList();
    }
}
