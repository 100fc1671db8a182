package app.galdrin.core.workshop;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.HandFormula;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.uncertainty.Budget;
import app.galdrin.core.uncertainty.Estimate;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** A workshop that knows nothing of the engine, and what the engine makes of what is read there. */
class WorkshopTest {

    private static final double PITCH = Math.toRadians(0.3);
    private static final double ROLL = Math.toRadians(-0.4);

    static Stream<Procedure> procedures() {
        return Procedures.all().stream().filter(p -> !p.key().equals("turnOutAtTwenty"));
    }

    private static Truth truth(SplittableRandom random) {
        Map<FigureId, Double> figures = new HashMap<>();
        Map.of(
                        Measurand.TOE, List.of(0.0, 0.4),
                        Measurand.CAMBER, List.of(-0.5, 1.5),
                        Measurand.CASTER, List.of(3.0, 1.5),
                        Measurand.KPI, List.of(12.0, 1.0),
                        Measurand.KINGPIN_TWIST, List.of(0.0, 0.3),
                        Measurand.RUN_OUT, List.of(0.6, 0.3))
                .forEach((measurand, about) -> {
                    for (Wheel wheel : Wheel.values()) {
                        double off = about.get(1) * (2 * random.nextDouble() - 1);
                        figures.put(FigureId.of(measurand, wheel), Math.toRadians(about.get(0) + off));
                    }
                });
        figures.put(Vehicles.figure("setback.front"), 4.0);
        figures.put(Vehicles.figure("turnOut.front.leftLock"), Math.toRadians(2.1));
        figures.put(Vehicles.figure("turnOut.front.rightLock"), Math.toRadians(1.7));
        return new Truth(figures);
    }

    private static StandingVehicle standing(Truth truth, double runOut) {
        VehicleGeometry g = Vehicles.van().geometry();
        Map<String, Double> figures = new HashMap<>();
        truth.figures().forEach((figure, value) -> figures.put(figure.key(), value));
        return new StandingVehicle(
                g.wheelbase(),
                g.frontTrack(),
                g.rearTrack(),
                g.rim(Axle.FRONT),
                g.tyre(Axle.FRONT),
                figures,
                PITCH,
                ROLL,
                runOut,
                11);
    }

    private static Map<FigureId, Double> solved(Procedure procedure, Truth truth, double runOut) {
        var random = new SplittableRandom(3);
        Map<FigureId, Estimate> rear = new HashMap<>();
        for (Wheel wheel : List.of(Wheel.REAR_LEFT, Wheel.REAR_RIGHT)) {
            FigureId toe = FigureId.of(Measurand.TOE, wheel);
            rear.put(toe, new Estimate(truth.of(toe), Budget.NONE));
        }
        var bay = new MeasuringContext(Vehicles.van(), new BayFloor(1, PITCH, ROLL, 1e-6));
        Layout laid = new Workshop(standing(truth, runOut), new Hand(0, random)).lay(procedure.key());
        return procedure.values(laid.shows(), procedure.asUsual(bay).with(rear), HandFormula.SOLVED);
    }

    /** What hands that never err read comes back as what is true: to 0.005°; of a sweep, whose plate is zeroed at the wheel's own toe, to 0.2°. */
    @ParameterizedTest
    @MethodSource("procedures")
    void theEngine_findsWhatIsTrue(Procedure procedure) {
        boolean sweep = procedure.key().startsWith("sweep") || procedure.key().equals("fullLock");
        for (int seed = 0; seed < 5; seed++) {
            Truth truth = truth(new SplittableRandom(seed));
            Map<FigureId, Double> solved = solved(procedure, truth, 0);
            for (FigureId figure : procedure.sees()) {
                double off = solved.getOrDefault(figure, Double.NaN) - truth.figure(figure);
                double allowed = figure.measurand().quantity() == Quantity.LENGTH
                        ? 0.01
                        : Math.toRadians(sweep && figure.measurand() != Measurand.CAMBER ? 0.2 : 0.005);
                assertEquals(0, off, allowed, figure.key());
            }
        }
    }

    /** What is clamped or read off a rim has its run-out, and what is spun or compensated has not. */
    @ParameterizedTest
    @CsvSource({
        "strings,true",
        "battens,true",
        "laserLine,true",
        "rearString,true",
        "plates,true",
        "longBars,true",
        "treadTape,true",
        "flags,true",
        "flagsMillimetres,true",
        "outsideJig,true",
        "wheelHeads,false",
        "inclinometer,false",
        "plumbRule,false",
        "setback,false"
    })
    void runOut_isReadWithTheRest(String key, boolean read) {
        Procedure procedure = Procedures.of(key);
        Truth truth = truth(new SplittableRandom(1));
        Map<FigureId, Double> round = solved(procedure, truth, 0);
        Map<FigureId, Double> bent = solved(procedure, truth, 0.5);
        double moved = round.entrySet().stream()
                .mapToDouble(e -> Math.abs(e.getValue() - bent.getOrDefault(e.getKey(), 0.0)))
                .max()
                .orElseThrow();
        assertEquals(read, moved > Math.toRadians(0.01), key + " " + Math.toDegrees(moved));
    }

    /** A hand errs by its habits, to the mark, and one that is set up keeps what it was set up with. */
    @Test
    void aHand_readsToTheMark_andKeepsItsSetUp() {
        var random = new SplittableRandom(5);
        var hand = new Hand(1, random);
        for (int i = 0; i < 100; i++) {
            double read = hand.read("ruleMillimetres", false, 66.3, 0.5);
            assertEquals(read, Math.rint(read * 2) / 2, 1e-12);
            assertEquals(66.3, read, 0.5 + 0.25 + 5 * 0.15);
        }
        Layout laid = new Workshop(standing(truth(random), 0), hand).lay("strings");
        assertEquals(laid.shows(), laid.shows());
        Layout again = new Workshop(standing(truth(new SplittableRandom(5)), 0), hand).lay("strings");
        assertNotEquals(laid.shows(), again.shows());
    }

    /** The proof can fail only as long as nothing of the engine is in the hands. */
    @Test
    void nothingOfTheEngine_isInTheWorkshop() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("src/main/java/app/galdrin/core/workshop"))) {
            for (Path file : files.toList()) {
                for (String line : Files.readAllLines(file)) {
                    assertTrue(
                            !line.contains("app.galdrin.core.")
                                    || line.startsWith("package app.galdrin.core.workshop;")
                                    || line.startsWith("import app.galdrin.core.workshop."),
                            file + ": " + line);
                }
            }
        }
    }
}
