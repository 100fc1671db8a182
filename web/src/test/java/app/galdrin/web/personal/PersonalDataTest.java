package app.galdrin.web.personal;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.account.Office;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Standings;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleMoves;
import app.galdrin.web.sitting.VehicleUses;
import app.galdrin.web.task.Tasks;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** What is given out and what goes is walked in OfficeJourneyTest; here stands who may, and what has to stay. */
@GaldrinTest
class PersonalDataTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private People people;

    @Autowired
    private Office office;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private Standings standings;

    @Autowired
    private VehicleUses uses;

    @Autowired
    private VehicleMoves moves;

    @Autowired
    private Entries entries;

    @Autowired
    private JdbcTemplate jdbc;

    private SignedIn officeOf(Centre centre) {
        return people.session(
                centre.id(), people.add(centre.id(), Role.OFFICE, "Olive", "o." + centre.id(), Centre.PASSWORD));
    }

    @Test
    void onlyTheOffice_ofTheSameCentre_getsAtIt_andNotAtItself() {
        Centre centre = centres.plates();
        Centre elsewhere = centres.plates();
        SignedIn olive = officeOf(centre);
        UUID bo = centre.apprentice().personId();
        Map<String, Integer> answers = Map.of(
                olive.signIn(), 200,
                officeOf(elsewhere).signIn(), 404,
                centre.instructor().signIn(), 404,
                centre.apprentice().signIn(), 403);
        answers.forEach((who, status) -> {
            var visitor = new Visitor(port).signIn(who, Centre.PASSWORD);
            for (String page : new String[] {"/erase", "/data.json"}) {
                assertEquals(status, visitor.get("/people/" + bo + page).statusCode(), who + page);
            }
            if (status != 200) {
                visitor.post("/people/" + bo + "/erase", Map.of("name", "First"));
            } else {
                assertEquals(
                        404,
                        visitor.get("/people/" + olive.personId() + "/erase").statusCode());
            }
        });
        assertTrue(people.person(centre.id(), bo).active(), "still there");
    }

    /** The other one's marks rest on a shared sheet; the vehicle was moved by whoever is erased; and an erased person does not come back. */
    @Test
    void whatOthersNeed_stays_andTheErasedDoNotComeBack() {
        Centre centre = centres.plates();
        SignedIn olive = officeOf(centre);
        Sitting alone = centre.sitting(tasks, sittings);
        Centre.write(sittings, entries, centre.apprentice(), alone, "left/frontDistance/1/1", "1900");
        Sitting shared = centre.sitting(tasks, sittings, centre.neighbour());
        UUID bo = centre.apprentice().personId();
        jdbc.update("insert into sitting_person values (?, ?, ?)", centre.id(), shared.id(), bo);

        assertEquals(1, office.erase(olive, bo, "Erased person"));

        assertThrows(NotThere.class, () -> sittings.sitting(centre.instructor(), alone.id()));
        Sitting left = sittings.sitting(centre.instructor(), shared.id());
        assertTrue(left.isOf(centre.neighbour().personId()) && !left.isOf(bo));
        assertEquals(
                "Erased person 1",
                standings
                        .find(centre.id(), alone.sheet().vehicleId())
                        .orElseThrow()
                        .names());
        assertFalse(uses.movesSinceSet(centre.instructor(), alone.sheet().vehicleId())
                .isComplete());
        assertEquals(
                Optional.empty(),
                moves.lend(
                        centre.instructor(),
                        new VehicleMoves.SeenVehicle(alone.sheet().vehicleId(), null)));
        for (Runnable back : new Runnable[] {
            () -> office.activate(olive, bo, true),
            () -> office.reset(olive, bo),
            () -> office.erase(olive, bo, "Erased person")
        }) {
            assertThrows(NotThere.class, back::run);
        }
        assertTrue(people.all(centre.id()).stream().noneMatch(p -> p.id().equals(bo)), "in no list");
    }
}
