package app.galdrin.web.sitting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.task.Tasks;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Entries on the real database: appended, never twice, never lost, and nobody else's. */
@GaldrinTest
class SittingsTest {

    private static final Slot FRONT = new Slot(Stage.AS_FOUND, "frontDistance", 1);

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    private Centre centre;
    private Sitting sitting;

    @BeforeEach
    void begin() {
        centre = centres.plates();
        sitting = centre.sitting(tasks, sittings);
    }

    private Sittings.Outcome write(SignedIn me, Slot slot, String text, boolean strike, String key) {
        return sittings.write(me, sitting, new Sittings.Line(slot, text, strike, key, "test"));
    }

    private Sittings.Outcome write(String text) {
        return write(centre.apprentice(), FRONT, text, false, Ids.next().toString());
    }

    private Log log() {
        return sittings.log(centre.id(), sitting.id());
    }

    @Test
    void rewriting_strikesOut_andKeepsBoth() {
        write("1423.5");
        write("1427");
        write(centre.apprentice(), FRONT, "", true, Ids.next().toString());
        assertEquals(3, log().entries().size());
        assertTrue(log().at(FRONT).isEmpty());
        assertEquals(
                List.of("1423.5", "1427"),
                log().struckAt(FRONT).stream().map(Entry::written).toList());
    }

    @Test
    void theSameKey_isWrittenOnce_fromHoweverManyThreads() throws Exception {
        String key = Ids.next().toString();
        Callable<Sittings.Outcome> send = () -> write(centre.apprentice(), FRONT, "1423.5", false, key);
        try (var pool = new Pool(8)) {
            var outcomes = pool.all(IntStream.range(0, 24).mapToObj(i -> send).toList());
            assertTrue(outcomes.stream().allMatch(o -> o instanceof Sittings.Outcome.Stands));
        }
        assertEquals(1, log().entries().size());
    }

    @Test
    void differentWriters_atOnce_getTheirOwnNumbers_andTheLastStands() throws Exception {
        try (var pool = new Pool(8)) {
            pool.all(IntStream.range(0, 24)
                    .<Callable<Sittings.Outcome>>mapToObj(i -> () -> write((1400 + i) + ""))
                    .toList());
        }
        var entries = log().entries();
        assertEquals(
                IntStream.rangeClosed(1, 24).boxed().toList(),
                entries.stream().map(Entry::seq).toList());
        assertEquals(23, log().struckAt(FRONT).size());
        assertEquals(entries.get(23).written(), log().at(FRONT).orElseThrow().written());
    }

    /** Java 17's executor does not close itself. */
    private record Pool(ExecutorService service) implements AutoCloseable {
        Pool(int threads) {
            this(Executors.newFixedThreadPool(threads));
        }

        <T> List<T> all(List<Callable<T>> work) throws Exception {
            List<T> results = new ArrayList<>();
            for (var future : service.invokeAll(work)) {
                results.add(future.get());
            }
            return results;
        }

        @Override
        public void close() {
            service.shutdown();
        }
    }

    @Test
    void afterHandingIn_nothingIsWritten_andItIsSaid() {
        write("1423.5");
        write(
                centre.apprentice(),
                Slot.of(Stage.HAND_IN, "done"),
                "done",
                false,
                Ids.next().toString());
        var refused = assertInstanceOf(Sittings.Outcome.Refused.class, write("1427"));
        assertEquals("sitting.closed", refused.why().key());
        assertEquals("1423.5", log().at(FRONT).orElseThrow().written());
    }

    @Test
    void nobodyWrites_whatIsNotHisToWrite() {
        String key = Ids.next().toString();
        assertThrows(NotThere.class, () -> sittings.sitting(centre.neighbour(), sitting.id()));
        var elsewhere = centres.plates();
        assertThrows(NotThere.class, () -> sittings.sitting(elsewhere.instructor(), sitting.id()));
        assertThrows(NotThere.class, () -> write(centre.instructor(), FRONT, "1423.5", false, key));
        assertThrows(NotThere.class, () -> write(centre.apprentice(), Slot.of(Stage.MARK, "plan"), "10", false, key));
        assertThrows(
                NotThere.class,
                () -> write(centre.apprentice(), new Slot(Stage.AS_FOUND, "frontDistance", 3), "1", false, key));
        var joinedElsewhere = centre.apprentice().joined(Ids.next());
        assertThrows(NotThere.class, () -> sittings.sitting(joinedElsewhere, sitting.id()));
        assertEquals(0, log().entries().size());
    }

    @Test
    void begunTwice_itIsTheSameSitting() {
        assertEquals(sitting.id(), centre.sitting(tasks, sittings).id());
    }
}
