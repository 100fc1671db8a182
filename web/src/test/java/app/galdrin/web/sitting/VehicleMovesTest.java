package app.galdrin.web.sitting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Bays;
import app.galdrin.web.bay.Facing;
import app.galdrin.web.bay.StandingCause;
import app.galdrin.web.bay.Standings;
import app.galdrin.web.bay.VehicleStanding;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.sitting.VehicleMoves.SeenVehicle;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.Sentence;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.JdbcTemplate;

@GaldrinTest
class VehicleMovesTest {

    private static final String FOUND = "found/frontDistance/1/0";

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private Entries entries;

    @Autowired
    private Standings standings;

    @Autowired
    private VehicleMoves moves;

    @Autowired
    private VehicleUses uses;

    @Autowired
    private VehicleReferences references;

    @Autowired
    private Bays bays;

    @Autowired
    private JdbcTemplate jdbc;

    private Centre centre;
    private SignedIn maud;
    private UUID van;

    @BeforeEach
    void aVehicleInBayOne() {
        centre = centres.plates(3);
        maud = centre.instructor();
        van = tasks.bays(centre.id(), centre.taskId()).get(0).sheet().vehicleId();
    }

    private VehicleStanding now() {
        return standings.find(centre.id(), van).orElseThrow();
    }

    private SeenVehicle seen() {
        return new SeenVehicle(van, now().seq());
    }

    private Entries.Outcome write(SignedIn who, Sitting sitting, String line, String text) {
        return Centre.write(sittings, entries, who, sitting, line, text);
    }

    /** Moves the left rod by some turns in a round. */
    private Entries.Outcome adjust(SignedIn who, Sitting sitting, int round, String way, String turns) {
        write(who, sitting, "adjust/rod.front.left.way/0/" + round, way);
        return write(who, sitting, "adjust/rod.front.left.amount/0/" + round, turns);
    }

    private static String why(Optional<Sentence> refused) {
        return refused.map(Sentence::key).orElse("");
    }

    private static void refused(String key, Entries.Outcome outcome) {
        assertEquals(
                key,
                assertInstanceOf(Entries.Outcome.Refusal.class, outcome).why().key());
    }

    private static void stands(Entries.Outcome outcome) {
        assertInstanceOf(Entries.Outcome.Stands.class, outcome, outcome.toString());
    }

    private double rod() {
        return uses.movesSinceSet(maud, van).moved().stream()
                .filter(m -> m.part().id().equals("rod.front.left"))
                .mapToDouble(m -> m.amount())
                .sum();
    }

    /** The morning, two rounds by one, one round by another, and the evening: one vehicle, one truth. */
    @Test
    void aVehicleIsFollowed_throughRoundsOfTwoPeople_untilItIsPutBack() {
        VehicleStanding set = now();
        Sitting bo = centre.sitting(tasks, sittings);
        stands(adjust(centre.apprentice(), bo, 1, "lengthen", "1/2"));
        stands(adjust(centre.apprentice(), bo, 2, "shorten", "1/8"));
        assertEquals(List.of(StandingCause.ROUND, 0.375), List.of(now().cause(), rod()));
        Sitting ann = centre.sitting(tasks, sittings, centre.neighbour());
        assertEquals(now().stateId(), ann.stateId(), "begins on the state the vehicle is in");
        refused("sitting.vehicleInUse", write(centre.neighbour(), ann, FOUND, "1900"));
        assertEquals("", why(moves.lend(maud, seen())));
        stands(write(centre.neighbour(), ann, FOUND, "1900"));
        refused("sitting.stillReading", adjust(centre.apprentice(), bo, 3, "shorten", "1/8"));

        for (String line : List.of("found/rearDistance/1/0", "found/frontDistance/2/0", "found/rearDistance/2/0")) {
            stands(write(centre.neighbour(), ann, line, "1901"));
        }
        stands(adjust(centre.neighbour(), ann, 1, "lengthen", "1"));
        refused("sitting.vehicleMoved", adjust(centre.apprentice(), bo, 3, "shorten", "1/8"));
        assertEquals(1.375, rod(), 1e-12);
        String back = "rod.front.left";
        assertEquals("vehicle.notTicked", why(moves.putBack(maud, seen(), Set.of())));
        assertEquals("vehicle.notMoved", why(moves.putBack(maud, seen(), Set.of(back, "rod.front.right"))));
        assertEquals("", why(moves.putBack(maud, seen(), Set.of(back))));
        assertEquals("vehicle.notAdjusted", why(moves.putBack(maud, seen(), Set.of())));
        assertEquals("vehicle.notAdjusted", why(moves.lend(maud, seen())));
        assertEquals(set.stateId(), now().settingId());
        assertNotEquals(set.stateId(), now().stateId());
        assertEquals(List.of(back), standings.partsPutBack(centre.id(), set.stateId(), now().stateId()));
        assertEquals(0, rod());
        refused("sitting.vehicleSet", adjust(centre.neighbour(), ann, 2, "lengthen", "1/8"));
        assertEquals(
                List.of("putBack", "round", "lent", "round", "round", "preset", "placed", "preset"),
                standings.history(centre.id(), van).stream()
                        .map(s -> s.cause().key())
                        .toList());
    }

    /** What is read goes by the state it was read on; anyone who has read nothing follows the vehicle, whatever the task. */
    @Test
    void whoHasReadNothing_follows_andWhoHasRead_waits() {
        Sitting read = centre.sitting(tasks, sittings);
        stands(write(centre.apprentice(), read, FOUND, "1900"));
        UUID otherTask = tasks.set(
                centre.id(),
                maud.personId(),
                tasks.task(centre.id(), centre.taskId()).practical(),
                List.of(read.sheet().id()),
                tasks.task(centre.id(), centre.taskId()).classId());
        var opening = tasks.open(centre.id(), maud.personId(), otherTask);
        Sitting joined = sittings.sitting(
                maud, sittings.begin(opening, centre.neighbour().personId(), null));
        assertEquals(read.stateId(), joined.stateId(), "two tasks, one vehicle, one state");
        refused("sitting.stillReading", adjust(centre.neighbour(), joined, 1, "lengthen", "1/8"));

        assertEquals(VehicleMoves.IN_USE, why(moves.set(maud, seen(), StandingCause.OUTSIDE, "knocked", false)));
        assertEquals("vehicle.note", why(moves.set(maud, seen(), StandingCause.OUTSIDE, "x".repeat(401), true)));
        assertEquals("", why(moves.set(maud, seen(), StandingCause.OUTSIDE, "knocked", true)));
        assertEquals(now().stateId(), sittings.sitting(maud, joined.id()).stateId());
        assertEquals(read.stateId(), sittings.sitting(maud, read.id()).stateId());
        refused("sitting.vehicleSet", write(centre.apprentice(), read, "found/rearDistance/1/0", "1903"));
        stands(write(centre.neighbour(), sittings.sitting(maud, joined.id()), FOUND, "1900"));
    }

    /** A reference counts for a vehicle that was put back, less well by what turning back can miss; its own reading takes its place. */
    @Test
    void aReferenceOfTheSetting_countsAfterItWasPutBack_withTheDoubtOfTheParts() {
        UUID series = centre.taskId();
        UUID first = references.referenceAsFound(maud, tasks.task(centre.id(), series), 1);
        stands(write(maud, sittings.sitting(maud, first), FOUND, "1900"));
        UUID set = now().stateId();
        stands(adjust(centre.apprentice(), centre.sitting(tasks, sittings), 1, "lengthen", "1/2"));
        assertTrue(
                references.findReference(centre.id(), series, now().stateId()).isEmpty(), "moved, and not read");
        assertEquals("", why(moves.putAllBack(maud, van)));
        FoundReference found =
                references.findReference(centre.id(), series, now().stateId()).orElseThrow();
        assertEquals(new FoundReference(first, set), found);
        var sheet = tasks.bays(centre.id(), series).get(0).sheet().sheet();
        var answers = sittings.log(centre.id(), first).answers();
        assertEquals(
                List.of("rod.front.left"),
                references.asRead(centre.id(), found, now().stateId(), sheet, answers).parts().stream()
                        .map(d -> d.part().id())
                        .toList());
        assertEquals(
                List.of(),
                references.asRead(centre.id(), found, set, sheet, answers).parts());
        UUID again = references.referenceAsFound(maud, tasks.task(centre.id(), series), 1);
        assertEquals(
                first,
                references
                        .findReference(centre.id(), series, now().stateId())
                        .orElseThrow()
                        .id(),
                "empty");
        stands(write(maud, sittings.sitting(maud, again), FOUND, "1900"));
        assertEquals(
                again,
                references
                        .findReference(centre.id(), series, now().stateId())
                        .orElseThrow()
                        .id());
    }

    @Test
    void aVehicleStandsInOneBay_andTakesAlongWhoHasReadNothing() {
        bays.add(centre.id(), 2, "");
        Sitting bo = centre.sitting(tasks, sittings);
        assertEquals("vehicle.noSuchBay", why(moves.place(maud, seen(), OptionalInt.of(7), Facing.FAR_END)));
        SeenVehicle early = seen();
        assertEquals("", why(moves.place(maud, early, OptionalInt.of(2), Facing.DOOR)));
        assertEquals("vehicle.changed.placed", why(moves.place(maud, early, OptionalInt.of(1), Facing.DOOR)));
        Sitting there = sittings.sitting(maud, bo.id());
        assertEquals(List.of(Optional.of(2), Optional.of(Facing.DOOR)), List.of(there.bay(), there.facing()));
        assertEquals(bo.stateId(), there.stateId(), "its state stays");
        centres.otherVehicle(centre, 3);
        assertEquals("vehicle.bayTaken", why(moves.place(maud, seen(), OptionalInt.of(3), Facing.FAR_END)));
        stands(write(centre.apprentice(), there, FOUND, "1900"));
        assertEquals("vehicle.isRead", why(moves.place(maud, seen(), OptionalInt.of(1), Facing.FAR_END)));
        assertEquals("vehicle.isRead", why(moves.place(maud, seen(), OptionalInt.empty(), Facing.FAR_END)));
    }

    /** Only who left the vehicle so, once it is handed in, and only until somebody else has read it. */
    @Test
    void anApprenticePutsBack_whatHeLeft_andNothingElse() {
        Sitting bo = centre.sitting(tasks, sittings);
        Set<String> rod = Set.of("rod.front.left");
        SignedIn first = centre.apprentice();
        stands(adjust(first, bo, 1, "lengthen", "1/2"));
        int seen = now().seq();
        assertEquals("vehicle.notYours", why(moves.putBack(first, bo, seen, rod)), "not handed in");
        assertThrows(NotThere.class, () -> moves.putBack(centre.neighbour(), bo, seen, rod));
        assertThrows(NotThere.class, () -> moves.putBack(maud, bo, seen, rod), "an instructor does it on the bays");
        stands(write(first, bo, "handIn/done/0/0", "done"));
        Sitting handedIn = sittings.sitting(maud, bo.id());
        assertFalse(moves.isLeftBy(centre.neighbour(), handedIn));
        assertEquals("vehicle.notTicked", why(moves.putBack(first, handedIn, seen, Set.of())));
        assertEquals("vehicle.notMoved", why(moves.putBack(first, handedIn, seen, Set.of("rod.front.right"))));
        assertEquals("", why(moves.lend(maud, seen())));
        Sitting ann = centre.sitting(tasks, sittings, centre.neighbour());
        stands(write(centre.neighbour(), ann, FOUND, "1900"));
        assertEquals("vehicle.changed.lent", why(moves.putBack(first, handedIn, seen, rod)));
        assertEquals("vehicle.readSince", why(moves.putBack(first, handedIn, now().seq(), rod)));
        stands(write(centre.neighbour(), ann, "handIn/done/0/0", "done"));
        assertEquals("", why(moves.putBack(first, handedIn, now().seq(), rod)));
        assertEquals(List.of(StandingCause.PUT_BACK, 0.0), List.of(now().cause(), rod()));
        assertEquals("vehicle.notYours", why(moves.putBack(first, handedIn, now().seq(), rod)), "once");
    }

    @Test
    void ofTwoWordsAtOneInstant_oneIsTold() throws Exception {
        SeenVehicle page = seen();
        Callable<String> word = () -> why(moves.set(maud, page, StandingCause.PRESET, "", false));
        List<String> answers = atOnce(Collections.nCopies(4, word));
        assertEquals(1, answers.stream().filter(String::isEmpty).count(), answers.toString());
        assertTrue(answers.stream().filter(a -> !a.isEmpty()).allMatch("vehicle.changed.preset"::equals));
        Sitting bo = centre.sitting(tasks, sittings);
        Sitting ann = centre.sitting(tasks, sittings, centre.neighbour());
        List<String> rounds = new ArrayList<>();
        String rod = "adjust/rod.front.left.way/0/1";
        List<Callable<Entries.Outcome>> both = List.of(
                () -> write(centre.apprentice(), bo, rod, "lengthen"),
                () -> write(centre.neighbour(), ann, rod, "shorten"));
        for (Entries.Outcome one : atOnce(both)) {
            rounds.add(one instanceof Entries.Outcome.Refusal no ? no.why().key() : "");
        }
        assertEquals(Set.of("", "sitting.vehicleMoved"), Set.copyOf(rounds));
    }

    private static <T> List<T> atOnce(List<Callable<T>> all) throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(all.size());
        try {
            List<T> answers = new ArrayList<>();
            for (Future<T> one : pool.invokeAll(all)) {
                answers.add(one.get());
            }
            return answers;
        } finally {
            pool.shutdownNow();
        }
    }

    /** The database itself keeps a state from coming out of another vehicle's. */
    @Test
    void aState_neverHasAPriorOfAnotherVehicle() {
        centres.otherVehicle(centre, 2);
        UUID other = tasks.bays(centre.id(), centre.taskId()).get(1).sheet().vehicleId();
        var refused = assertThrows(
                DataIntegrityViolationException.class,
                () -> jdbc.update(
                        "insert into vehicle_state (id, centre_id, vehicle_id, made_by, prior_id, made_by_person)"
                                + " values (?, ?, ?, 'outside', ?, ?)",
                        UUID.randomUUID(),
                        centre.id(),
                        other,
                        now().stateId(),
                        maud.personId()));
        assertTrue(refused.getMessage().contains("prior_id"), refused.getMessage());
    }

    @Test
    void aVehicleOfAnotherCentre_isNotThere_andNoApprenticeGivesAWord() {
        Centre elsewhere = centres.plates();
        UUID other =
                tasks.bays(elsewhere.id(), elsewhere.taskId()).get(0).sheet().vehicleId();
        assertThrows(NotThere.class, () -> moves.lend(maud, new SeenVehicle(other, null)));
        assertThrows(NotThere.class, () -> moves.putAllBack(centre.apprentice(), van));
    }
}
