package app.galdrin.core.procedure;

import static app.galdrin.core.Vehicles.figure;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Seeds;
import app.galdrin.core.Vehicles;
import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.HandFormula;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.uncertainty.Estimate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What every procedure keeps, whatever it measures. */
class ProceduresTest {

    private static final FigureId SETBACK = FigureId.of(Measurand.SETBACK, Axle.FRONT);
    private static final FigureId LEFT_LOCK = figure("turnOut.front.leftLock");
    private static final FigureId RIGHT_LOCK = figure("turnOut.front.rightLock");
    static final Repeat ONCE = new Repeat("step", 0, 1);

    /** Made again by each test, and the same as those that are offered. */
    static Stream<Procedure> all() {
        List<Procedure> made = ServiceLoader.load(ProcedureList.class).stream()
                .flatMap(list -> list.get().procedures().stream())
                .toList();
        assertEquals(
                Procedures.all().stream().map(Procedure::key).sorted().toList(),
                made.stream().map(Procedure::key).sorted().toList());
        return made.stream();
    }

    static Stream<Arguments> overSeeds() {
        return all().flatMap(p -> Seeds.some().limit(25).mapToObj(seed -> Arguments.of(p, seed)));
    }

    /** In some bay, with something chosen wherever there is a choice. */
    static MeasuringContext standing(Procedure procedure, RandomGenerator random) {
        double roll = Math.toRadians(Seeds.between(random, -0.6, 0.6));
        double pitch = Math.toRadians(Seeds.between(random, -0.6, 0.6));
        return new MeasuringContext(Vehicles.van(), new BayFloor(2, pitch, roll, Math.toRadians(0.03)))
                .choosing(chosen(procedure, random));
    }

    static Map<String, String> chosen(Procedure procedure, RandomGenerator random) {
        Map<String, String> chosen = new HashMap<>();
        for (Choice choice : procedure.choices()) {
            chosen.put(
                    choice.id(),
                    choice.options().get(random.nextInt(choice.options().size())));
        }
        return chosen;
    }

    /** A random state; the KPI is the sheet's, which a sweep of two angles takes. */
    static Truth truth(RandomGenerator random) {
        Map<FigureId, Double> figures = new HashMap<>();
        for (Wheel wheel : Wheel.values()) {
            figures.put(FigureId.of(Measurand.CASTER, wheel), Math.toRadians(Seeds.between(random, -1, 7)));
            figures.put(FigureId.of(Measurand.CAMBER, wheel), Math.toRadians(Seeds.between(random, -2, 2)));
            figures.put(FigureId.of(Measurand.KPI, wheel), Math.toRadians(12.5));
            figures.put(FigureId.of(Measurand.TOE, wheel), Math.toRadians(Seeds.between(random, -1, 1)));
        }
        figures.put(SETBACK, Seeds.between(random, -12, 12));
        for (Wheel wheel : Wheel.values()) {
            figures.put(FigureId.of(Measurand.KINGPIN_TWIST, wheel), Math.toRadians(Seeds.between(random, -1, 1)));
            figures.put(FigureId.of(Measurand.RUN_OUT, wheel), Math.toRadians(Seeds.between(random, 0.1, 1)));
        }
        figures.put(LEFT_LOCK, Math.toRadians(Seeds.between(random, 1, 4)));
        figures.put(RIGHT_LOCK, Math.toRadians(Seeds.between(random, 1, 4)));
        return new Truth(figures);
    }

    /** What a string round the rear tyres has to know. */
    static Map<FigureId, Estimate> rearToes(Truth truth) {
        Map<FigureId, Estimate> toes = new HashMap<>();
        for (Wheel wheel : List.of(Wheel.REAR_LEFT, Wheel.REAR_RIGHT)) {
            FigureId toe = FigureId.of(Measurand.TOE, wheel);
            toes.put(toe, Estimate.exact(truth.of(toe)));
        }
        return toes;
    }

    @ParameterizedTest
    @MethodSource("overSeeds")
    void whatIsReadOfAVehicle_comesToItsTrueFigures(Procedure procedure, long seed) {
        RandomGenerator random = Seeds.generator(seed);
        Truth truth = truth(random);
        MeasuringContext standing = standing(procedure, random).with(rearToes(truth));
        Map<String, Double> readings = procedure.lay(truth, standing, 0, random).read();
        WorkedRepeat worked = procedure.work(readings, standing, ONCE, HandFormula.SOLVED);
        assertEquals(procedure.sees(), worked.figures().keySet(), "every figure it can tell is told");
        // a zeroed gauge forgets a pitch that a straight wheel does not feel; spans see two toes as two equal halves
        double allowed = procedure.sees().stream().noneMatch(f -> f.measurand() == Measurand.TOE) ? 2e-4 : 1e-6;
        worked.figures().forEach((figure, estimate) -> {
            assertEquals(truth.figure(figure), estimate.value(), allowed, figure.key());
            assertTrue(estimate.standardUncertainty() > 0, figure + " has its doubt");
        });
    }

    @ParameterizedTest
    @MethodSource("overSeeds")
    void everyPartOfADoubt_isWhatMovingThatReadingDoes(Procedure procedure, long seed) {
        RandomGenerator random = Seeds.generator(seed);
        MeasuringContext standing = standing(procedure, random);
        Map<String, Double> readings =
                procedure.lay(truth(random), standing, 0, random).read();
        WorkedRepeat worked = procedure.work(readings, standing, ONCE, HandFormula.SOLVED);
        Place moved =
                procedure.walk().get((int) Math.floorMod(seed, procedure.walk().size()));
        double u = moved.standardUncertainty();
        boolean angle = moved.amount().quantity() == Quantity.ANGLE;
        double step = (angle ? Math.toDegrees(u) : u) / 100;
        Map<FigureId, Estimate> up = moved(procedure, readings, moved, step, standing);
        Map<FigureId, Estimate> down = moved(procedure, readings, moved, -step, standing);
        String source = ONCE.source(moved).name();
        worked.figures().forEach((figure, estimate) -> {
            double slope = (up.get(figure).value() - down.get(figure).value()) / 2 * 100;
            double part = estimate.budget().parts().getOrDefault(source, 0.0);
            // lengths along the vehicle count as exact; a run-out bends within the doubt of one reading
            boolean exact = Set.of("stations", "below", "marksAhead")
                    .contains(moved.reading().key());
            double within = figure.measurand() == Measurand.RUN_OUT ? 0.3 : 1e-4;
            assertEquals(exact ? 0 : slope, part, within * Math.abs(part) + 1e-8, figure + " by " + moved.id());
        });
    }

    private static Map<FigureId, Estimate> moved(
            Procedure procedure, Map<String, Double> readings, Place place, double amount, MeasuringContext standing) {
        Map<String, Double> changed = new HashMap<>(readings);
        changed.merge(place.id(), amount, Double::sum);
        return procedure.work(changed, standing, ONCE, HandFormula.SOLVED).figures();
    }

    @ParameterizedTest
    @MethodSource("all")
    void places_haveIdsOfTheirOwn_andAreReadBySomething(Procedure procedure) {
        Set<String> ids = new HashSet<>();
        procedure.walk().forEach(p -> assertTrue(ids.add(p.id()), p.id()));
        procedure.choices().forEach(c -> assertTrue(ids.add(c.id()), c.id()));
        List<Place> read = procedure.evaluations().stream()
                .flatMap(e -> e.places().stream())
                .toList();
        assertTrue(read.containsAll(procedure.walk()) && procedure.walk().containsAll(read));
        assertTrue(procedure.walk().stream().allMatch(p -> p.id().matches("[a-zA-Z0-9.]{1,60}")));
    }

    @ParameterizedTest
    @MethodSource("all")
    void placesFollowFromTheFigures_andTellThem(Procedure procedure) {
        RandomGenerator random = Seeds.generator(3);
        MeasuringContext standing = standing(procedure, random);
        Map<String, Double> all =
                procedure.lay(truth(random), standing, 0, random).read();
        for (FigureId figure : procedure.sees()) {
            List<Place> places = procedure.places(List.of(figure));
            Map<String, Double> readings = new HashMap<>();
            places.forEach(p -> readings.put(p.id(), all.get(p.id())));
            Estimate solved = procedure
                    .work(readings, standing, ONCE, HandFormula.SOLVED)
                    .figures()
                    .get(figure);
            assertNotNull(solved, figure.key());
            Place last = places.get(places.size() - 1);
            readings.remove(last.id());
            Estimate without = procedure
                    .work(readings, standing, ONCE, HandFormula.SOLVED)
                    .figures()
                    .get(figure);
            // a pair of heads is read together, and each tells its own wheel
            assertTrue(
                    without == null || Math.abs(without.value() - solved.value()) < 1e-9,
                    figure + " without " + last.id());
        }
    }

    @ParameterizedTest
    @MethodSource("all")
    void theOtherEnd_andTheOtherSide_leadBack(Procedure procedure) {
        for (Place place : procedure.walk()) {
            procedure
                    .otherEnd(place)
                    .ifPresent(other ->
                            assertEquals(place, procedure.otherEnd(other).orElseThrow()));
            procedure
                    .otherSide(place)
                    .ifPresent(other ->
                            assertEquals(place, procedure.otherSide(other).orElseThrow()));
            assertEquals(place.compared(), procedure.otherEnd(place).isPresent(), place.id());
            assertEquals(place.wheel().isPresent(), procedure.otherSide(place).isPresent(), place.id());
        }
    }

    @ParameterizedTest
    @MethodSource("all")
    void simulatedReadings_canBeReal(Procedure procedure) {
        RandomGenerator random = Seeds.generator(5);
        MeasuringContext standing = standing(procedure, random);
        InstrumentSetup laying = procedure.lay(truth(random), standing, 1, random);
        for (int i = 0; i < 20; i++) {
            Map<String, Double> readings = laying.read();
            for (Place place : procedure.walk()) {
                double value = readings.get(place.id());
                double size = place.answer() instanceof SizeAndSense ? Math.abs(value) : value;
                assertTrue(
                        size >= place.amount().least() && size <= place.amount().most(), place.id() + " " + value);
            }
        }
    }

    static Procedure fresh(String key) {
        return all().filter(p -> p.key().equals(key)).findFirst().orElseThrow();
    }

    /** Down the left side, up the right: a person walks once round the vehicle and meets the places in this order. */
    @Test
    void theWalk_goesOnceRound() {
        assertEquals(
                List.of(
                        "wheels.fl.frontGap",
                        "hubGap.fl",
                        "wheels.fl.rearGap",
                        "wheels.rl.frontGap",
                        "hubGap.rl",
                        "wheels.rl.rearGap",
                        "stringSpacingRear",
                        "wheels.rr.rearGap",
                        "hubGap.rr",
                        "wheels.rr.frontGap",
                        "wheels.fr.rearGap",
                        "hubGap.fr",
                        "wheels.fr.frontGap",
                        "stringSpacingFront",
                        "stationDistance"),
                fresh("strings").walk().stream().map(Place::id).toList());
        assertEquals(
                List.of("wheels.fl.frontGap", "wheels.fl.rearGap", "wheels.fr.rearGap", "wheels.fr.frontGap"),
                fresh("rearString").walk().stream().map(Place::id).toList());
        assertEquals(
                List.of("fl", "fl", "rl", "rl", "rr", "rr", "fr", "fr"),
                fresh("inclinometer").walk().stream()
                        .map(p -> p.wheel().orElseThrow().key())
                        .toList());
    }

    @ParameterizedTest
    @CsvSource({
        "plates,500",
        "strings,416",
        "rearString,416",
        "laserLine,416",
        "plumbRule,416",
        "inclinometer,",
        "inclinometerZeroed,",
        "sweep,",
        "setback,"
    })
    void millimetres_areAnsweredOverWhatTheProcedureSpans(String key, Double baseline) {
        assertEquals(
                Optional.ofNullable(baseline),
                fresh(key).baseline().apply(new MeasuringContext(Vehicles.van(), BayFloor.LEVEL)));
    }

    /** Where instruments are laid on the van, whose front track is 1484 and wheelbase 2760. */
    @ParameterizedTest
    @CsvSource({
        "plates,frontDistance,1724,0.001",
        "strings,stationDistance,4060,0",
        "strings,stringSpacingFront,1614,16",
        "strings,hubGap.fl,65,16",
        "rearString,wheels.fl.frontGap,40,0.001",
        "laserLine,wheels.fr.rearGap,75,0.001",
        "sweep,fl.out.steer,20,0.5",
        "sweep,fr.in.steer,20,0.5",
        "inclinometer,fl.floor,0.3,1e-9",
        "inclinometer,fr.gauge,0.3,1e-5",
        "inclinometerZeroed,fr.gauge,0,1e-5",
        "plumbRule,fl.topGap,61.089,0.001",
        "setback,fl.wheelbase,2760,0.001"
    })
    void whatIsReadOfAStraightVehicle(String key, String place, double about, double within) {
        var floor = new BayFloor(1, 0, Math.toRadians(0.3), 0);
        Map<String, Double> read =
                fresh(key).readings(new Truth(Map.of()), new MeasuringContext(Vehicles.van(), floor));
        assertEquals(about, read.get(place), within + 1e-9);
    }
}
