package app.galdrin.web.bay;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.task.Tasks;
import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What a sitting knows of the floor it stands on. */
@GaldrinTest
class BaysTest {

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private VehicleReferences vehicles;

    @Autowired
    private Bays bays;

    private Sitting whole(Centre centre, UUID id) {
        return sittings.sitting(centre.instructor(), id);
    }

    @Test
    void aNewSurvey_isForWhatBeginsAfterIt_andForItsReference() {
        Centre centre = centres.fullFront();
        Sitting before = centre.sitting(tasks, sittings);
        var survey = new NewSurvey(1, 0.3, -0.1, 0.06, Facing.DOOR, LocalDate.of(2026, 2, 1));
        bays.survey(centre.id(), centre.instructor().personId(), survey);
        var opening = tasks.current(centre.id(), centre.taskId()).orElseThrow();
        Sitting after = whole(centre, sittings.begin(opening, centre.neighbour().personId(), null));
        assertEquals(before.floor(), whole(centre, before.id()).floor(), "kept");
        assertNotEquals(before.floor(), after.floor());
        UUID reference = vehicles.referenceAsFound(centre.instructor(), tasks.task(centre.id(), centre.taskId()), 1);
        assertEquals(after.floor(), whole(centre, reference).floor(), "one floor on its own page and on the desk");
    }

    /** Not surveyed is not known: the sheet asks for the slope where a figure needs it, and a bay of another centre is nobody's. */
    @Test
    void whereNobodyHasSurveyed_theSheetAsksForTheSlope() {
        Centre centre = centres.fullFront();
        centres.otherVehicle(centre, 2);
        var opening = tasks.current(centre.id(), centre.taskId()).orElseThrow();
        Sitting here = whole(centre, sittings.begin(opening, centre.apprentice().personId(), 1));
        Sitting there = whole(centre, sittings.begin(opening, centre.neighbour().personId(), 2));
        assertTrue(here.floor().isKnown());
        assertFalse(there.floor().isKnown());
        String asks = "This bay’s floor has not been surveyed";
        var one = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
        assertFalse(one.get("/sittings/" + here.id() + "?step=camber").body().contains(asks));
        var other = new Visitor(port).signIn(centre.neighbour().signIn(), Centre.PASSWORD);
        assertTrue(other.get("/sittings/" + there.id() + "?step=camber").body().contains(asks));
        var stranger = new Visitor(port).signIn(centres.plates().instructor().signIn(), Centre.PASSWORD);
        assertEquals(404, stranger.get("/bays/2").statusCode());
    }
}
