package app.galdrin.core.task;

import static app.galdrin.core.Vehicles.figure;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.spec.DecisionRule;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class UsualBandsTest {

    private static final FigureId CAMBER = figure("camber.front.left");
    private static final BayFloor SURVEYED = new BayFloor(2, 0, Math.toRadians(0.3), Math.toRadians(0.108));

    private static Measure by(String id, String procedure, String... figures) {
        return Measure.of(
                id,
                Procedures.of(procedure),
                List.of(figures).stream().map(Vehicles::figure).toList(),
                3);
    }

    private static Assignment in(BayFloor floor, Measure... measures) {
        return new Assignment(
                new Practical(
                        "Bands",
                        OrderSchool.A,
                        DecisionRule.SIMPLE,
                        Mode.PRACTICE,
                        OutcomeSchool.GRADED,
                        Optional.empty(),
                        List.of(measures),
                        new Scheme(List.of(), 0, List.of())),
                Vehicles.van(),
                floor);
    }

    private static double full(Map<FigureId, Band> bands, FigureId figure) {
        return Objects.requireNonNull(bands.get(figure)).full();
    }

    /** The survey's doubt of the floor moves both people's figure alike, so the band of their difference leaves it out. */
    @Test
    void aReadingsBand_leavesOutWhatBothHaveInCommon() {
        Measure camber = by("camber", "plumbRule", "camber.front.left");
        Assignment surveyed = in(SURVEYED, camber);
        double whole = surveyed.asAsked(camber, CAMBER).orElseThrow().standardUncertainty();
        double usual = full(UsualBands.ofReadings(camber, surveyed), CAMBER);
        assertTrue(usual < 0.99 * Band.between(whole).full(), usual + " of " + whole);
    }

    /** The more figures are compared in a sitting, the wider each one's band: they share one chance. */
    @Test
    void repeats_shareOneChance_amongAllThatTheTaskCompares() {
        Measure toe = by("toe", "strings", "toe.front.left");
        Measure camber = by(
                "camber",
                "inclinometer",
                "camber.front.left",
                "camber.front.right",
                "camber.rear.left",
                "camber.rear.right");
        FigureId left = figure("toe.front.left");
        assertTrue(full(UsualBands.ofRepeats(toe, in(BayFloor.LEVEL, toe)), left)
                < full(UsualBands.ofRepeats(toe, in(BayFloor.LEVEL, toe, camber)), left));
    }

    /** A total holds the repeats of both wheels; a difference of the sides never has a band of its own. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "strings; totalToe.front toe.front.left toe.front.right; totalToe.front",
                "strings; toe.front.left toe.front.right; toe.front.left toe.front.right",
                "inclinometer; camber.front.left camber.front.right camberDifference.front; camber.front.left camber.front.right",
            })
    void repeats_areComparedByTheirSums_elseWheelByWheel(String procedure, String asked, String compared) {
        Measure measure = by("m", procedure, asked.split(" "));
        assertEquals(
                Set.of(compared.split(" ")),
                UsualBands.ofRepeats(measure, in(BayFloor.LEVEL, measure)).keySet().stream()
                        .map(FigureId::key)
                        .collect(Collectors.toSet()));
    }
}
