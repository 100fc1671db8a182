package app.galdrin.core.procedure;

import app.galdrin.core.equipment.EquipmentKind;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.measure.HandFormula;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.Input;
import app.galdrin.core.record.InputForm;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.record.Step;
import app.galdrin.core.uncertainty.DoubtSource;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * One run of a kind of record for a wheel, an axle, a lock or a pass: where each of its fields comes from and which of its figures
 * is which of the trade's.
 *
 * @param kind name of the kind
 * @param fields dotted path of the input to its source, in the order of the kind
 * @param figures dotted path of the result to the figure it is
 * @param notes paths of the result that are shown beside the figures and are none
 * @param hand formulas that the trade works on paper for some of the figures
 * @param corrections what is added to figures because the kind has no field for it
 */
public final class Evaluation {

    private final String kind;
    private final Map<String, Source> fields;
    private final Map<String, FigureId> figures;
    private final List<String> notes;
    private final List<HandFormula> hand;
    private final List<Correction> corrections;
    private final List<Place> places;
    private final Set<BayFloor.Slope> slopes;

    /** Looked up when it is first worked: kinds are found by registration, as the procedures are. */
    private volatile @Nullable EvaluationPlan plan;

    public Evaluation(
            String kind,
            Map<String, Source> fields,
            Map<String, FigureId> figures,
            List<String> notes,
            List<HandFormula> hand,
            List<Correction> corrections) {
        this.kind = kind;
        this.fields = Collections.unmodifiableMap(new LinkedHashMap<>(fields));
        this.figures = inOrder(figures);
        this.notes = List.copyOf(notes);
        this.hand = List.copyOf(hand);
        this.corrections = List.copyOf(corrections);
        this.slopes = slopes(fields, corrections);
        this.places = fields.values().stream()
                .flatMap(s -> s.places().stream())
                .distinct()
                .toList();
    }

    /** Returns the name of the kind of record. */
    public String kind() {
        return kind;
    }

    /** Returns where each field of the record comes from. */
    public Map<String, Source> fields() {
        return fields;
    }

    /** Returns which figure each result is. */
    public Map<String, FigureId> figures() {
        return figures;
    }

    /** Returns the results that are told beside the figures. */
    public List<String> notes() {
        return notes;
    }

    public List<HandFormula> hand() {
        return hand;
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return this == other
                || other instanceof Evaluation e
                        && kind.equals(e.kind)
                        && fields.equals(e.fields)
                        && figures.equals(e.figures)
                        && notes.equals(e.notes)
                        && hand.equals(e.hand)
                        && corrections.equals(e.corrections);
    }

    @Override
    public int hashCode() {
        return kind.hashCode();
    }

    private EvaluationPlan plan() {
        EvaluationPlan known = plan;
        if (known == null) {
            known = new EvaluationPlan(kind, fields, figures, notes);
            plan = known;
        }
        return known;
    }

    /** Returns the figures in the order of a sheet. */
    private static Map<String, FigureId> inOrder(Map<String, FigureId> figures) {
        Map<String, FigureId> ordered = new LinkedHashMap<>();
        figures.entrySet().stream()
                .sorted(Map.Entry.comparingByValue())
                .forEach(e -> ordered.put(e.getKey(), e.getValue()));
        return ordered;
    }

    /** Makes one without notes, formulas of the trade and corrections. */
    public static Evaluation of(String kind, Map<String, Source> fields, Map<String, FigureId> figures) {
        return new Evaluation(kind, fields, figures, List.of(), List.of(), List.of());
    }

    /** Returns the same with a correction after it. */
    public Evaluation with(Correction correction) {
        return new Evaluation(kind, fields, figures, notes, hand, List.of(correction));
    }

    /** The same run, its places changed. */
    Evaluation at(UnaryOperator<Place> change) {
        return withFields(source -> source.at(change));
    }

    /** The same run, what is read being as good as it is read. */
    Evaluation withoutSetUp() {
        return withFields(Evaluation::asRead);
    }

    private static Source asRead(Source source) {
        return source instanceof Source.ReadingWithSetup laid ? asRead(laid.reading()) : source;
    }

    /** The same run on rims and tyres whose run-out was taken off before. */
    Evaluation withoutRunOut() {
        return withFields(Evaluation::withoutRunOut);
    }

    private static Source withoutRunOut(Source source) {
        if (!(source instanceof Source.ReadingWithSetup laid)) {
            return source;
        }
        Source reading = withoutRunOut(laid.reading());
        return laid.setUp().source().isOfVehicle() ? reading : new Source.ReadingWithSetup(reading, laid.setUp());
    }

    /** Returns whether the run-out of a rim or a tyre is read with something. */
    boolean runsOut() {
        return !withoutRunOut().equals(this);
    }

    private Evaluation withFields(UnaryOperator<Source> change) {
        Map<String, Source> changed = new LinkedHashMap<>();
        fields.forEach((path, source) -> changed.put(path, change.apply(source)));
        return new Evaluation(kind, changed, figures, notes, hand, corrections);
    }

    /**
     * Result of a run.
     *
     * @param figures mm or rad: as estimates, or as values alone
     * @param byHand as the taught working gives them, mm or rad; without those that are worked as solved
     * @param notes in the record's unit, by path
     * @param steps of the working, put together when someone looks
     */
    record Run<V>(
            Map<FigureId, V> figures,
            Map<FigureId, Double> byHand,
            Map<String, Double> notes,
            Supplier<List<Step>> steps) {

        /** Returns the run without such figures. */
        Run<V> without(Predicate<V> such) {
            Map<FigureId, V> kept = new LinkedHashMap<>(figures);
            kept.values().removeIf(such);
            Map<FigureId, Double> keptByHand = new LinkedHashMap<>(byHand);
            keptByHand.keySet().removeIf(f -> figures.containsKey(f) && !kept.containsKey(f));
            return new Run<>(kept, keptByHand, notes, steps);
        }

        /** Returns what is the same in another run, with this one's steps. */
        Run<V> agreeing(Run<V> other, Arithmetic<V> arithmetic) {
            Map<FigureId, V> same = new LinkedHashMap<>(figures);
            same.entrySet().removeIf(e -> !arithmetic.agree(e.getValue(), other.figures.get(e.getKey())));
            return new Run<>(
                    same,
                    MissingReadings.agreeing(byHand, other.byHand),
                    MissingReadings.agreeing(notes, other.notes),
                    steps);
        }
    }

    /** The places it reads. */
    public List<Place> places() {
        return places;
    }

    /** Returns what it has to take from the sheet, and the sheet does not give. */
    Stream<Source.Datum> lacking(MeasuringContext standing) {
        return fields.values().stream()
                .flatMap(s ->
                        s instanceof Source.Datum datum && datum.known(standing).isEmpty()
                                ? Stream.of(datum)
                                : Stream.empty());
    }

    Stream<Choice> choices() {
        return fields.values().stream()
                .flatMap(s -> s instanceof Source.ChosenWord chosen ? Stream.of(chosen.choice()) : null);
    }

    /** Returns the kinds of equipment that go into it beside what is read: those with a length, and pairs. */
    Stream<EquipmentKind> laidEquipment() {
        return fields.values().stream().flatMap(source -> {
            if (source instanceof Source.ToolDatum datum) {
                return Stream.of(EquipmentKind.of(datum.length()));
            }
            return source instanceof Source.PairedReading paired
                    ? EquipmentKind.named(paired.pair()).stream()
                    : Stream.empty();
        });
    }

    /** Returns whether the slope of the bay's floor goes into it. */
    public boolean takesFloor() {
        return !slopes.isEmpty();
    }

    /** The slopes of the bay's floor that go into it. */
    Set<BayFloor.Slope> slopes() {
        return slopes;
    }

    private static Set<BayFloor.Slope> slopes(Map<String, Source> fields, List<Correction> corrections) {
        Set<BayFloor.Slope> slopes = EnumSet.noneOf(BayFloor.Slope.class);
        Stream.concat(fields.values().stream(), corrections.stream().map(Correction::given))
                .forEach(source -> {
                    if (source instanceof Source.Bay bay) {
                        slopes.add(bay.slope());
                    }
                });
        return slopes;
    }

    /** Returns what the taught working takes as known. */
    Stream<Source.KnownBeforehand> given(String taught) {
        Set<String> left = hand.stream()
                .filter(h -> h.taught().equals(taught))
                .flatMap(h -> h.leavesOut().stream())
                .collect(Collectors.toSet());
        Stream<Source> used = fields.entrySet().stream()
                .filter(field -> !left.contains(field.getKey()))
                .map(Map.Entry::getValue);
        return Stream.concat(used, corrections.stream().map(Correction::given))
                .filter(Source.KnownBeforehand.class::isInstance)
                .map(Source.KnownBeforehand.class::cast);
    }

    /**
     * Works one set of readings. Where places have no reading, the figures that do without them stand.
     *
     * @param readings mm or deg by place, with their signs
     * @param ofReading the name of a place's reading as a source of doubt
     * @param taught key of the working that the task teaches
     * @param arithmetic what is made of each figure
     * @return empty where every figure needs a place without a reading, something is not chosen, the slope of the floor is needed and not
     *     known, the sheet lacks a datum, or the readings can't be worked
     */
    <V> Optional<Run<V>> run(
            Map<String, Double> readings,
            MeasuringContext standing,
            Function<Place, DoubtSource> ofReading,
            String taught,
            Arithmetic<V> arithmetic) {
        if (takesFloor() && !standing.floor().isKnown()) {
            return Optional.empty();
        }
        return MissingReadings.of(places, readings)
                .map(missing -> missing.settled(
                                filled -> work(
                                        new EvaluationInputs(plan(), filled, standing, ofReading), taught, arithmetic),
                                (one, other) -> one.agreeing(other, arithmetic))
                        .map(run -> run.without(figure -> arithmetic.restsOn(figure, missing, ofReading)))
                        .filter(run -> !run.figures().isEmpty()))
                .orElseGet(() -> work(new EvaluationInputs(plan(), readings, standing, ofReading), taught, arithmetic));
    }

    private <V> Optional<Run<V>> work(EvaluationInputs inputs, String taught, Arithmetic<V> arithmetic) {
        EvaluationPlan plan = plan();
        InputForm form = inputs.form();
        if (arithmetic.asksForDoubt()) {
            plan.askForSlopes(form);
        }
        Optional<Input> input = form.input();
        Optional<Answer> answer = input.flatMap(plan::work);
        if (answer.isEmpty()) {
            return Optional.empty();
        }
        Figures result = answer.get().figures();
        Map<FigureId, V> worked = new LinkedHashMap<>();
        for (EvaluationPlan.ResultField field : plan.figures()) {
            field.at()
                    .numberIn(result.values())
                    .ifPresent(value -> worked.put(field.figure(), arithmetic.figure(inputs, field, value, result)));
        }
        List<Supplier<Step>> corrected = correct(worked, inputs, arithmetic);
        return Optional.of(new Run<>(
                worked, byHand(input.get(), result.values(), taught), notes(plan, result.values()), () -> {
                    List<Step> steps = new ArrayList<>(answer.get().working().get());
                    corrected.forEach(step -> steps.add(step.get()));
                    return steps;
                }));
    }

    /** Adds the corrections to the figures they are for, and returns the step of each. */
    private <V> List<Supplier<Step>> correct(
            Map<FigureId, V> worked, EvaluationInputs inputs, Arithmetic<V> arithmetic) {
        List<Supplier<Step>> steps = new ArrayList<>(corrections.size());
        for (Correction correction : corrections) {
            FigureId figure = figures.get(correction.path());
            V before = figure == null ? null : worked.get(figure);
            if (figure != null && before != null) {
                steps.add(() -> correction.step(arithmetic.value(before), inputs.standing()));
                worked.put(figure, arithmetic.corrected(before, correction, inputs));
            }
        }
        return steps;
    }

    private Map<FigureId, Double> byHand(Input input, JsonObject result, String taught) {
        Map<FigureId, Double> byHand = new LinkedHashMap<>();
        for (HandFormula formula : hand) {
            if (formula.taught().equals(taught)) {
                byHand.put(formula.figure(), formula.work(input, result));
            }
        }
        return byHand;
    }

    private static Map<String, Double> notes(EvaluationPlan plan, JsonObject result) {
        Map<String, Double> notes = new LinkedHashMap<>();
        plan.notes().forEach((path, at) -> at.numberIn(result).ifPresent(v -> notes.put(path, v)));
        return notes;
    }

    /** The path in the result, or in the steps to it, of a figure as the taught working has it. */
    Optional<String> pathOf(FigureId figure, String taught) {
        Optional<String> byHand = hand.stream()
                .filter(h -> h.taught().equals(taught) && h.figure().equals(figure))
                .map(HandFormula::path)
                .findFirst();
        return byHand.or(() -> figures.entrySet().stream()
                .filter(e -> e.getValue().equals(figure))
                .map(Map.Entry::getKey)
                .map(this::afterCorrection)
                .findFirst());
    }

    private String afterCorrection(String path) {
        return corrections.stream()
                .filter(c -> c.path().equals(path))
                .map(Correction::corrected)
                .findFirst()
                .orElse(path);
    }
}
