package app.galdrin.core.task;

import app.galdrin.core.equipment.Kit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.Choice;
import app.galdrin.core.procedure.Derivation;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Repeat;
import app.galdrin.core.procedure.Source.EarlierFigure;
import app.galdrin.core.procedure.paper.PrintedFigures;
import app.galdrin.core.procedure.slip.Slip;
import app.galdrin.core.procedure.slip.Slips;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SheetScale;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.Estimate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * A practical on the vehicle, in the bay and with the equipment with which it is sat. What follows from these alone is looked up once, however many sittings are
 * marked; one is safely asked by many threads.
 */
public final class Assignment {

    private final Practical practical;
    private final SpecificationSheet sheet;
    private final BayFloor floor;
    private final Kit kit;
    private final MeasuringContext standing;

    private final Map<String, List<Place>> places = new ConcurrentHashMap<>();
    private final Map<VerdictKey, Optional<Measure>> measuring = new ConcurrentHashMap<>();
    private final Map<VerdictKey, Optional<Work>> working = new ConcurrentHashMap<>();
    private final Map<FigureId.Adjustment, List<Adjuster>> adjusters = new ConcurrentHashMap<>();

    private final Map<FigureId, Optional<Limits>> limits = new ConcurrentHashMap<>();
    private final Map<FigureId, SheetScale> scales = new ConcurrentHashMap<>();
    private final Map<VerdictKey, Double> apart = new ConcurrentHashMap<>();
    private final Map<String, Map<FigureId, Estimate>> asAsked = new ConcurrentHashMap<>();
    private final Map<String, List<FigureId>> owned = new ConcurrentHashMap<>();

    private final Map<String, List<Slip>> slips = new ConcurrentHashMap<>();
    private final Map<String, List<FigureId>> judged = new ConcurrentHashMap<>();
    private final Map<String, List<Choice>> choices = new ConcurrentHashMap<>();
    private final Map<Repeat, Function<Place, DoubtSource>> sources = new ConcurrentHashMap<>();

    private record VerdictKey(FigureId figure, String beforeStep) {}

    public Assignment(Practical practical, SpecificationSheet sheet, BayFloor floor, Kit kit) {
        this.practical = practical;
        this.sheet = sheet;
        this.floor = floor;
        this.kit = kit;
        this.standing = new MeasuringContext(sheet, floor).with(kit);
    }

    /** Creates it with the usual equipment. */
    public Assignment(Practical practical, SpecificationSheet sheet, BayFloor floor) {
        this(practical, sheet, floor, Kit.USUAL);
    }

    /** Returns a practical on a vehicle in a level bay. */
    public static Assignment of(Practical practical, SpecificationSheet sheet) {
        return new Assignment(practical, sheet, BayFloor.LEVEL);
    }

    /** Returns the task. */
    public Practical practical() {
        return practical;
    }

    /** Returns the sheet of the vehicle. */
    public SpecificationSheet sheet() {
        return sheet;
    }

    /** Returns the floor of the bay. */
    public BayFloor floor() {
        return floor;
    }

    /** Returns the equipment it is measured with. */
    public Kit kit() {
        return kit;
    }

    /** Returns the sheet, the floor and the equipment that measurements are worked with. */
    public MeasuringContext standing() {
        return standing;
    }

    /** Returns the known value of a key, worked out when it is asked for the first time; a map takes a lock where it has to look. */
    private static <K, V> V once(Map<K, V> known, K key, Function<? super K, ? extends V> found) {
        V there = known.get(key);
        return there == null ? known.computeIfAbsent(key, found) : there;
    }

    /**
     * Returns whether front wheels are judged against the thrust line: where the task says so, else where the rear wheels' toe can't be adjusted,
     * since the vehicle then runs along it.
     */
    public boolean frontsToThrustLine() {
        return practical
                .frontsTo()
                .map(datum -> datum == FrontDatum.THRUST_LINE)
                .orElseGet(() -> adjusters(new FigureId.Adjustment(Measurand.TOE, Optional.of(Axle.REAR)))
                        .isEmpty());
    }

    /** The places that a step of this practical reads. */
    public List<Place> places(Measure measure) {
        return once(places, measure.id(), id -> measure.procedure().places(measure.figures()));
    }

    /** The figures that a step's readings are worked with and that steps before it tell. */
    public List<FigureId> takenFromBefore(Measure measure) {
        return once(
                owned,
                measure.id(),
                id -> measure.procedure().given(measure.taught(), measure.figures()).stream()
                        .filter(EarlierFigure.class::isInstance)
                        .map(given -> ((EarlierFigure) given).figure())
                        .toList());
    }

    /** {@link Repeat#source}, each put together once. */
    public Function<Place, DoubtSource> sources(Repeat repeat) {
        return once(sources, repeat, key -> {
            Map<String, DoubtSource> names = new ConcurrentHashMap<>();
            return place -> once(names, place.id(), id -> key.source(place));
        });
    }

    /** {@link Measure#figuresAndDifferences}. */
    public List<FigureId> figuresAndDifferences(Measure measure) {
        return once(judged, measure.id(), id -> measure.figuresAndDifferences());
    }

    /**
     * Returns how far the repeats of a step's figure lie apart in honest hands, rad or mm; empty where nobody can say. {@link
     * ExpectedUncertainty#apart}.
     */
    public OptionalDouble apart(Measure measure, FigureId figure) {
        Double limit = once(
                apart,
                new VerdictKey(figure, measure.id()),
                key -> ExpectedUncertainty.apart(measure, standing, List.of(figure), 1)
                        .getOrDefault(figure, Double.NaN));
        return Double.isNaN(limit) ? OptionalDouble.empty() : OptionalDouble.of(limit);
    }

    /** A figure of a step as it is known where it is measured as the task asks, rad or mm. {@link ExpectedUncertainty#asAsked}. */
    public Optional<Estimate> asAsked(Measure measure, FigureId figure) {
        return Optional.ofNullable(once(asAsked, measure.id(), id -> ExpectedUncertainty.asAsked(measure, standing))
                .get(figure));
    }

    /** Returns what is chosen for a step's readings, each once. */
    public List<Choice> choices(Measure measure) {
        return once(choices, measure.id(), id -> measure.procedure().choices());
    }

    /** {@link SpecificationSheet#scale}. */
    public SheetScale scale(FigureId figure) {
        return once(scales, figure, sheet::scale);
    }

    /**
     * A figure as it is printed and judged beside the two it follows from: made of what its sheet prints of them, so that the page adds up.
     *
     * @param value rad or mm
     * @param others gives the figures, rad or mm, that stand beside it
     */
    public Estimate beside(FigureId figure, Estimate value, Function<FigureId, Optional<Estimate>> others) {
        Map<FigureId, Estimate> together = new LinkedHashMap<>();
        for (FigureId part : Derivation.parts(figure)) {
            others.apply(part).ifPresent(e -> together.put(part, e));
        }
        if (together.size() < 2 || figure.measurand().quantity() != Quantity.ANGLE) {
            return value;
        }
        together.put(figure, value);
        var printed = PrintedFigures.ofEstimates(together, (v, f) -> scale(f).printed(f, v));
        return Objects.requireNonNull(printed.get(figure));
    }

    /** The slips that can be made with a step's procedure. */
    public List<Slip> slips(Measure measure) {
        return once(slips, measure.id(), id -> Slips.of(measure.procedure()));
    }

    /** {@link SpecificationSheet#limits}. */
    public Optional<Limits> limits(FigureId figure) {
        return once(limits, figure, sheet::limits);
    }

    /** {@link Practical#measuring}. */
    public Optional<Measure> measuring(FigureId figure, String beforeStep) {
        return once(measuring, new VerdictKey(figure, beforeStep), judged -> practical.measuring(figure, beforeStep));
    }

    /** {@link Practical#workStep}. */
    public Optional<Work> workStep(FigureId figure, String beforeStep) {
        return once(working, new VerdictKey(figure, beforeStep), judged -> practical.workStep(figure, beforeStep));
    }

    /** {@link SpecificationSheet#adjusters}. */
    public List<Adjuster> adjusters(FigureId.Adjustment adjustment) {
        return once(adjusters, adjustment, sheet::adjusters);
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof Assignment a
                && practical.equals(a.practical)
                && sheet.equals(a.sheet)
                && floor.equals(a.floor)
                && kit.equals(a.kit);
    }

    @Override
    public int hashCode() {
        return Objects.hash(practical, sheet, floor, kit);
    }
}
