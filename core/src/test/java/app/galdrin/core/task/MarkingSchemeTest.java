package app.galdrin.core.task;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Outcome;
import app.galdrin.core.measure.Asked;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.ToeFigures;
import app.galdrin.core.measure.ToeMethods;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.steering.TrackRod;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MarkingSchemeTest {

    private static VehicleGeometry van(Linkage linkage, boolean doubleThread) {
        return new VehicleGeometry(2760, 1484, 1466, 416, 301, linkage, 1.5, doubleThread, 136, 17.8);
    }

    @ParameterizedTest
    @CsvSource({"0,1", "0.1,1", "-0.1,1", "0.2,0.5", "-0.2,0.5", "0.3,0", "9,0"})
    void band_fallsInAStraightLine_betweenFullAndNone(double difference, double credit) {
        assertEquals(credit, Band.from(0.1).credit(difference), 1e-12);
    }

    @Test
    void bandsAndSchemes_thatMakeNoSense_areRefused() {
        assertThrows(IllegalArgumentException.class, () -> new Band(0.3, 0.1));
        assertThrows(IllegalArgumentException.class, () -> new Band(-0.1, 0.1));
        var band = Band.from(0.1);
        assertThrows(IllegalArgumentException.class, () -> new MarkingScheme(Map.of(), Set.of(), band, band, 101));
    }

    @Test
    void defaultBands_followTheMethodsOwnDoubt() {
        var geometry = van(Linkage.BEHIND, false);
        var twice = MarkingScheme.defaults(ToeMethods.of("plates"), geometry, 2);
        double tape = CatalogueInstrument.TAPE.standardUncertainty(CatalogueInstrument.Surface.RIM);
        double single = Math.sqrt(2) * tape / 500; // two tapes over the slots
        assertEquals(single, MarkingScheme.standardUncertaintyOfTotal(ToeMethods.of("plates"), geometry), 1e-9);
        assertEquals(2 * single, twice.reading().full(), 1e-9);
        assertEquals(2.8 * single, twice.repeatability().full(), 1e-9);
        assertTrue(MarkingScheme.defaults(ToeMethods.of("plates"), geometry, 4)
                        .reading()
                        .full()
                < twice.reading().full());
        assertFalse(MarkingScheme.defaults(ToeMethods.of("plates"), geometry, 1).isMarked(Criterion.REPEATABILITY));
        assertEquals(100, twice.marks().values().stream().mapToInt(m -> m).sum());
    }

    @ParameterizedTest
    @CsvSource({"BEHIND,false,0.6319,-1", "AHEAD,false,-0.6319,1", "BEHIND,true,1.2637,-0.5"})
    void aTurnThatLengthens_turnsTheWheelIn_behindTheAxle(
            Linkage linkage, boolean doubleThread, double rate, double turnsOut) {
        var rod = TrackRod.of(van(linkage, doubleThread));
        assertEquals(rate, Math.toDegrees(rod.ratePerTurn()), 1e-4);
        assertEquals(turnsOut, rod.turns(Math.toRadians(0.6319), 0), 1e-3);
    }

    @ParameterizedTest
    @CsvSource({"DEGREES,TOTAL", "DEGREES,LEFT", "DEGREES_MINUTES,RIGHT", "MILLIMETRES,TOTAL", "MILLIMETRES,LEFT"})
    void anAnswer_andTheToeItStandsFor_areTheSame(AnswerUnit unit, Asked asked) {
        for (double toe = -0.05; toe <= 0.05; toe += 0.007) {
            assertEquals(toe, unit.toToe(unit.ofToe(toe, asked, 416), asked, 416), 1e-12);
        }
        assertTrue(Double.isFinite(unit.toToe(1e6, asked, 416)));
    }

    @Test
    void aPlaceWithoutAReading_isNamed_theFirstInWalkingOrder() {
        var missing = (Outcome.Failed<ToeFigures>)
                ToeMethods.of("strings").work(Map.of("wheels.fl.frontGap", 60.0), van(Linkage.BEHIND, false));
        assertEquals("hubGap.fl", missing.fault().field().orElseThrow());
        assertThrows(IllegalStateException.class, missing::orElseThrow);
    }
}
