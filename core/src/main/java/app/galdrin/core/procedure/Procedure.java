package app.galdrin.core.procedure;

import app.galdrin.core.equipment.EquipmentKind;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.HandFormula;
import app.galdrin.core.measure.Use;
import app.galdrin.core.procedure.WorkedRepeat.WorkedEvaluation;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Suspension;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A practice in the trade's words: places in walking order and the evaluations that make figures of what is read there.
 *
 * @param key its name in documents and the middle of its message keys
 * @param walk every place it can ask for, in the order in which a person walks
 * @param evaluations in order; where two give the same figure, the later one stands
 * @param guide how it is done
 * @param unworked measurands that nobody works on paper: they are given, not asked
 * @param baseline over which an angle is answered in millimetres, mm; empty where nobody does
 * @param unlike pairs of places that never read the same
 * @param tools what a task has read otherwise than is usual, by {@link Place#tool()}
 * @param setUpCounts whether how it was set up counts as doubt; of tasks from before that was known it does not
 * @param simulation its forward model
 */
public record Procedure(
        String key,
        Family family,
        List<Place> walk,
        List<Evaluation> evaluations,
        Guide guide,
        Set<Measurand> unworked,
        Function<MeasuringContext, Optional<Double>> baseline,
        List<DistinctPlaces> unlike,
        Map<String, CatalogueInstrument> tools,
        boolean setUpCounts,
        Simulation simulation) {

    /** The step of a guide in which run-out is taken off, before the vehicle is let down. */
    private static final String HIGH_SPOT_UP = "highSpotUp";

    /** The seed of what is not set up by measure, such as where a string is laid. */
    private static final long SEED = 1;

    public Procedure {
        walk = List.copyOf(walk);
        evaluations = List.copyOf(evaluations);
        unlike = List.copyOf(unlike);
        tools = Map.copyOf(tools);
    }

    /** All of it worked on paper, no angle answered in millimetres. */
    public static Procedure of(
            String key,
            Family family,
            List<Place> walk,
            List<Evaluation> evaluations,
            Guide guide,
            Simulation simulation) {
        return new Procedure(
                key,
                family,
                walk,
                evaluations,
                guide,
                Set.of(),
                s -> Optional.empty(),
                List.of(),
                Map.of(),
                true,
                simulation);
    }

    /** The same, some of it given and not asked. */
    public Procedure notWorking(Measurand... given) {
        return new Procedure(
                key, family, walk, evaluations, guide, Set.of(given), baseline, unlike, tools, setUpCounts, simulation);
    }

    /** The same, its angles answered in millimetres over this, mm. */
    public Procedure over(Function<MeasuringContext, Optional<Double>> length) {
        return new Procedure(
                key, family, walk, evaluations, guide, unworked, length, unlike, tools, setUpCounts, simulation);
    }

    /** The same, with places that never read the same. */
    public Procedure unlike(List<DistinctPlaces> pairs) {
        return new Procedure(
                key, family, walk, evaluations, guide, unworked, baseline, pairs, tools, setUpCounts, simulation);
    }

    /** The same, read with other instruments than are usual, by {@link Place#tool()}. */
    public Procedure with(Map<String, CatalogueInstrument> instruments) {
        if (instruments.isEmpty()) {
            return this;
        }
        UnaryOperator<Place> change = place -> {
            CatalogueInstrument other = instruments.get(place.tool());
            return other == null ? place : place.readWith(other);
        };
        return new Procedure(
                key,
                family,
                walk.stream().map(change).toList(),
                evaluations.stream().map(e -> e.at(change)).toList(),
                guide,
                unworked,
                baseline,
                unlike.stream().map(u -> u.at(change)).toList(),
                instruments,
                setUpCounts,
                simulation);
    }

    /** The same as tasks of the first document version had it: how it is set up adds nothing to what is read. */
    public Procedure withoutSetUp() {
        return new Procedure(
                key,
                family,
                walk,
                evaluations.stream().map(Evaluation::withoutSetUp).toList(),
                guide,
                unworked,
                baseline,
                unlike,
                tools,
                false,
                simulation);
    }

    /** Returns whether it reads the run-out of rims or tyres with the rest. */
    public boolean runsOut() {
        return evaluations.stream().anyMatch(Evaluation::runsOut);
    }

    /** Returns whether the task asks for run-out to be found and turned to where it is not read. */
    public boolean isRunOutTakenOff() {
        return guide.steps().contains(HIGH_SPOT_UP);
    }

    /** The same, every wheel spun and its high spot turned up before; itself where none is read. */
    public Procedure withRunOutTakenOff() {
        return !runsOut()
                ? this
                : new Procedure(
                        key,
                        family,
                        walk,
                        evaluations.stream().map(Evaluation::withoutRunOut).toList(),
                        guide.after(HIGH_SPOT_UP),
                        unworked,
                        baseline,
                        unlike,
                        tools,
                        setUpCounts,
                        simulation);
    }

    /** Returns whether a vehicle has what it is laid on; a sheet that does not know its suspension rules nothing out. */
    public boolean fits(SpecificationSheet sheet) {
        return !guide.assumes().contains(Assumption.BEAM_AXLE)
                || sheet.geometry()
                        .frontSuspension()
                        .filter(s -> s != Suspension.BEAM)
                        .isEmpty();
    }

    /** Returns what its places are read with, by {@link Place#tool()}, in walking order. */
    public Map<String, CatalogueInstrument> instruments() {
        Map<String, CatalogueInstrument> instruments = new LinkedHashMap<>();
        walk.forEach(place -> instruments.putIfAbsent(place.tool(), place.instrument()));
        return instruments;
    }

    /** Returns the equipment that readings for these figures are taken with, each kind once, in walking order. */
    public List<EquipmentKind> equipment(Collection<FigureId> figures) {
        Stream<EquipmentKind> read = places(figures).stream().map(place -> EquipmentKind.of(place.instrument()));
        Stream<EquipmentKind> laid = evaluations.stream()
                .filter(e -> figures.stream().anyMatch(f -> tellsPartOf(e, f)))
                .flatMap(Evaluation::laidEquipment);
        return Stream.concat(laid, read).distinct().toList();
    }

    /** Returns what can be taken instead for places of a tool. */
    public List<CatalogueInstrument> choiceOf(String tool) {
        return walk.stream()
                .filter(p -> p.tool().equals(tool))
                .findFirst()
                .map(p -> CatalogueInstrument.allFor(p.use()))
                .orElse(List.of());
    }

    /** Returns what the taught working of these figures takes as known, from the vehicle's sheet or of the bay, each once. */
    public List<Source.KnownBeforehand> given(String taught, Collection<FigureId> figures) {
        Map<String, Source.KnownBeforehand> byKey = new LinkedHashMap<>();
        evaluations.stream()
                .filter(e -> figures.stream().anyMatch(f -> tellsPartOf(e, f)))
                .flatMap(e -> e.given(taught))
                .forEach(known -> byKey.putIfAbsent(known.key(), known));
        return List.copyOf(byKey.values());
    }

    private static boolean tellsPartOf(Evaluation evaluation, FigureId figure) {
        return evaluation.figures().containsValue(figure)
                || Derivation.parts(figure).stream().anyMatch(part -> tellsPartOf(evaluation, part));
    }

    /** The slopes of the bay's floor that go into the working of these figures. */
    public Set<BayFloor.Slope> slopes(Collection<FigureId> figures) {
        Set<BayFloor.Slope> slopes = EnumSet.noneOf(BayFloor.Slope.class);
        evaluations.stream()
                .filter(e -> figures.stream().anyMatch(f -> tellsPartOf(e, f)))
                .forEach(e -> slopes.addAll(e.slopes()));
        return slopes;
    }

    /** Standard uncertainty of a slope of the floor read with its own level, rad; with the usual one where it has none. */
    public double levelUncertainty() {
        return walk.stream()
                .filter(place -> place.use() == Use.LEVEL)
                .map(Place::instrument)
                .findFirst()
                .orElse(CatalogueInstrument.usualFor(Use.LEVEL))
                .standardUncertainty(CatalogueInstrument.Surface.RIM);
    }

    /** Returns what is chosen before its places are read, each once. */
    public List<Choice> choices() {
        return evaluations.stream().flatMap(Evaluation::choices).distinct().toList();
    }

    /** A standing in which everything is chosen as is usual. */
    public MeasuringContext asUsual(MeasuringContext standing) {
        return standing.choosing(choices().stream().collect(Collectors.toMap(Choice::id, Choice::usual)));
    }

    /**
     * Returns what a figure can't do without and the sheet does not give, when these figures are asked together: another of them may cost a
     * reading that makes it unnecessary.
     */
    public List<Source.Datum> lacking(FigureId figure, Collection<FigureId> asked, MeasuringContext standing) {
        List<Place> read = places(asked);
        List<Evaluation> direct = evaluations.stream()
                .filter(e -> e.figures().containsValue(figure) && read.containsAll(e.places()))
                .toList();
        if (!direct.isEmpty()) {
            return direct.get(direct.size() - 1).lacking(standing).toList();
        }
        return Derivation.parts(figure).stream()
                .flatMap(part -> lacking(part, asked, standing).stream())
                .toList();
    }

    /** Returns everything it can tell, in the order of a sheet; to all else it is blind. */
    public Set<FigureId> sees() {
        Set<FigureId> known = SEEN.get(evaluations);
        return known == null ? SEEN.computeIfAbsent(evaluations, Procedure::seen) : known;
    }

    /** Asked for at every line of every sheet. There are as many as procedures and instruments to read them with. */
    private static final Map<List<Evaluation>, Set<FigureId>> SEEN = new ConcurrentHashMap<>();

    private static Set<FigureId> seen(List<Evaluation> evaluations) {
        Set<FigureId> seen = evaluations.stream()
                .flatMap(e -> e.figures().values().stream())
                .collect(Collectors.toCollection(LinkedHashSet::new));
        seen.addAll(Derivation.reachable(seen));
        return Collections.unmodifiableSet(seen);
    }

    /** The places asked for by figures, in walking order: those of the first evaluation that tells each. */
    public List<Place> places(Collection<FigureId> figures) {
        Set<Place> needed = figures.stream()
                .flatMap(f -> telling(f).stream())
                .flatMap(e -> e.places().stream())
                .collect(Collectors.toSet());
        return walk.stream().filter(needed::contains).toList();
    }

    /** Returns whether any way to a figure, or to what it follows from, reads a place. */
    public boolean reads(FigureId figure, String place) {
        return evaluations.stream()
                        .filter(e -> e.figures().containsValue(figure))
                        .anyMatch(e -> e.places().stream().anyMatch(p -> p.id().equals(place)))
                || Derivation.parts(figure).stream().anyMatch(part -> reads(part, place));
    }

    private List<Evaluation> telling(FigureId figure) {
        Optional<Evaluation> direct = evaluations.stream()
                .filter(e -> e.figures().containsValue(figure))
                .findFirst();
        if (direct.isPresent()) {
            return List.of(direct.get());
        }
        return Derivation.of(figure).stream()
                .flatMap(made -> made.parts().stream())
                .flatMap(part -> telling(part).stream())
                .toList();
    }

    /** The ways of working on paper that a task can teach, the usual one first; as solved comes last. */
    public List<String> taught() {
        Stream<String> byHand =
                evaluations.stream().flatMap(e -> e.hand().stream()).map(HandFormula::taught);
        return Stream.concat(byHand, Stream.of(HandFormula.SOLVED)).distinct().toList();
    }

    /** Returns whether the trade works a figure on paper; otherwise it is given and not asked. */
    public boolean isWorkedOnPaper(FigureId figure) {
        return !unworked.contains(figure.measurand());
    }

    /** The place at the other end that a place is compared with. */
    public Optional<Place> otherEnd(Place place) {
        return place.compared() ? first(p -> p.compared() && place.isAtOtherEnd(p)) : Optional.empty();
    }

    /** The same place at the other wheel of its axle. */
    public Optional<Place> otherSide(Place place) {
        return place.wheel().isPresent() ? first(place::isOnOtherSide) : Optional.empty();
    }

    /** Asked of every place for every slip. */
    private Optional<Place> first(Predicate<Place> such) {
        for (Place place : walk) {
            if (such.test(place)) {
                return Optional.of(place);
            }
        }
        return Optional.empty();
    }

    /**
     * Works the readings of one repeat; an evaluation that lacks a place is left out and the others stand.
     *
     * @param readings mm or deg by place
     * @param ofReading the name of a place's reading as a source of doubt, {@link Repeat#source}
     * @param taught key of the working that the task teaches
     */
    public WorkedRepeat work(
            Map<String, Double> readings,
            MeasuringContext standing,
            Function<Place, DoubtSource> ofReading,
            String taught) {
        List<WorkedEvaluation> worked = new ArrayList<>();
        Evaluation.Run<Estimate> all = run(readings, standing, ofReading, taught, Arithmetic.ESTIMATES, worked);
        return new WorkedRepeat(all.figures(), all.byHand(), all.notes(), worked);
    }

    /**
     * The same of readings, mm or deg by place, the names of a repeat put together as they are needed.
     *
     * @param readings mm or deg by place
     */
    public WorkedRepeat work(Map<String, Double> readings, MeasuringContext standing, Repeat repeat, String taught) {
        return work(readings, standing, repeat::source, taught);
    }

    /**
     * The same without doubts, steps and notes: what the taught working gives, mm or rad by figure, those that follow from others among
     * them.
     *
     * @param readings mm or deg by place
     */
    public Map<FigureId, Double> values(Map<String, Double> readings, MeasuringContext standing, String taught) {
        Evaluation.Run<Double> all =
                run(readings, standing, Place::asInput, taught, Arithmetic.VALUES, new ArrayList<>());
        all.figures().putAll(all.byHand());
        return all.figures();
    }

    /** Runs every evaluation, lists those that could be worked, and adds what follows from the figures of all. */
    private <V> Evaluation.Run<V> run(
            Map<String, Double> readings,
            MeasuringContext standing,
            Function<Place, DoubtSource> ofReading,
            String taught,
            Arithmetic<V> arithmetic,
            List<WorkedEvaluation> worked) {
        Map<FigureId, V> figures = new LinkedHashMap<>();
        Map<FigureId, Double> byHand = new LinkedHashMap<>();
        Map<String, Double> notes = new LinkedHashMap<>();
        for (Evaluation evaluation : evaluations) {
            evaluation.run(readings, standing, ofReading, taught, arithmetic).ifPresent(run -> {
                run.figures().keySet().forEach(byHand::remove);
                figures.putAll(run.figures());
                byHand.putAll(run.byHand());
                notes.putAll(run.notes());
                worked.add(new WorkedEvaluation(evaluation, run.steps()));
            });
        }
        Derivation.derive(figures, byHand, arithmetic);
        return new Evaluation.Run<>(figures, byHand, notes, List::of);
    }

    /**
     * The instruments laid by trained hands on a vehicle in a known state.
     *
     * @param handling factor on the scatter of trained hands, 0 or more; 0 also rounds nothing
     */
    public InstrumentSetup lay(Truth truth, MeasuringContext standing, double handling, RandomGenerator random) {
        return lay(truth, standing, Hands.trained(handling, random));
    }

    /** The instruments laid by somebody on a vehicle in a known state. */
    public InstrumentSetup lay(Truth truth, MeasuringContext standing, Hands hands) {
        return new InstrumentSetup(walk, simulation.lay(truth, standing, hands), hands);
    }

    /** Returns what is read without scatter on a vehicle in a known state, mm or deg by place; everything has to be chosen. */
    public Map<String, Double> readings(Truth truth, MeasuringContext standing) {
        RandomGenerator random = RandomGeneratorFactory.of("Xoshiro256PlusPlus").create(SEED);
        return lay(truth, standing, 0, random).read();
    }

    /** The place of an id, which must be one of its own. */
    public Place place(String id) {
        return walk.stream().filter(p -> p.id().equals(id)).findFirst().orElseThrow();
    }
}
