package app.galdrin.core.marking;

import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.marking.MarkerTest.flawless;
import static app.galdrin.core.marking.MarkerTest.read;
import static app.galdrin.core.marking.MarkerTest.state;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.marking.MarkLine.Status;
import app.galdrin.core.spec.Zone;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The vehicle as it was left, on the van of {@link MarkerTest}. */
class AsLeftMarkerTest {
    @Test
    void theVehicleAsLeft_isJudgedByTheReference() {
        assertEquals(Status.FULL, flawless().line("adjust.asLeft").status());
        Bench bench =
                flawless().leftAt(state(3.5, -0.4, -0.4, 0.40, 0.40)).leftAgainAt(state(3.5, -0.4, -0.4, 0.40, 0.40));
        var left = bench.evidence("adjust.asLeft", Evidence.AsLeft.class);
        assertTrue(left.stream().anyMatch(e -> e.zone() == Zone.OUTSIDE && !e.accepted()));
        assertTrue(bench.line("adjust.asLeft").mustPass());
        assertFalse(bench.mark().competent());
    }

    /** The strings tell a wheel's toe to about a tenth of a degree, with -0.11 to 0.03 allowed. */
    @ParameterizedTest
    @CsvSource({
        "-0.04,,WAITING,false",
        "-0.04,-0.04,FULL,true",
        "0.06,-0.02,FULL,true",
        "0.06,0.04,PART,false",
        "0.30,,PART,false",
        "0.30,0.28,PART,false",
    })
    void asLeftInDoubt_isReadOnceMore_andBothDecide(double first, @Nullable Double second, Status status, boolean met) {
        Bench bench = read().leftAt(state(3.5, -0.4, -0.4, first, -0.04));
        if (second != null) {
            bench.leftAgainAt(state(3.5, -0.4, -0.4, second, -0.04));
        } else if (status != Status.WAITING) {
            // certainly outside needs no second look at that wheel; the others are still asked for
            assertEquals(
                    Zone.OUTSIDE,
                    bench.evidence("adjust.asLeft", Evidence.AsLeft.class).stream()
                            .filter(e -> e.figure().equals(figure("toe.front.left")))
                            .findFirst()
                            .orElseThrow()
                            .zone());
            return;
        }
        assertEquals(status, bench.line("adjust.asLeft").status());
        assertEquals(met, bench.line("adjust.asLeft").met());
        assertEquals(
                status != Status.WAITING,
                bench.evidence("adjust.asLeft", Evidence.AsLeft.class).stream().anyMatch(Evidence.AsLeft::again));
    }

    /** What is left inside on both sides can still differ by too much. */
    @Test
    void theDifferenceOfTheSides_isPartOfWhatIsLeft() {
        Bench bench =
                read().leftAt(state(3.5, -0.85, 0.05, -0.04, -0.04)).leftAgainAt(state(3.5, -0.85, 0.05, -0.04, -0.04));
        var difference = bench.evidence("adjust.asLeft", Evidence.AsLeft.class).stream()
                .filter(e -> e.figure().equals(figure("camberDifference.front")))
                .findFirst()
                .orElseThrow();
        assertEquals(Zone.OUTSIDE, difference.zone());
        assertFalse(difference.accepted());
    }
}
