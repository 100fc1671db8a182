package app.galdrin.core.procedure.paper;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.Tolerance;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.procedure.WorkedRepeat;
import app.galdrin.core.record.Step;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The way to a worked figure, of all repeats together: what stands at each intermediate figure, and what follows from another one. */
public final class IntermediateSteps {

    /** A vehicle on which no two workings happen to come to the same. */
    private static final Truth SOME_VEHICLE = new Truth(Stream.of(Wheel.values())
            .flatMap(wheel -> Stream.of(Measurand.TOE, Measurand.CAMBER, Measurand.CASTER, Measurand.KPI)
                    .map(measurand -> FigureId.of(measurand, wheel)))
            .collect(Collectors.toMap(figure -> figure, figure -> Math.toRadians(1))));

    private final List<List<Step>> repeats = new ArrayList<>();

    /** The way that any readings of a procedure lead to a figure, whatever was chosen for them. */
    public static IntermediateSteps any(
            Procedure procedure, FigureId figure, MeasuringContext standing, String taught) {
        MeasuringContext usual = procedure.asUsual(standing);
        WorkedRepeat worked = procedure.work(procedure.readings(SOME_VEHICLE, usual), usual, Place::asInput, taught);
        return new IntermediateSteps(procedure, figure, List.of(worked), taught);
    }

    /** Collects the intermediate steps of the repeats that lead to a figure by the taught working. */
    public IntermediateSteps(Procedure procedure, FigureId figure, List<WorkedRepeat> worked, String taught) {
        for (WorkedRepeat repeat : worked) {
            repeat.stepsTo(figure, taught)
                    .filter(steps -> isWorkedBy(steps, repeat.honest(figure)))
                    .ifPresent(repeats::add);
        }
    }

    /** Returns whether the last step is the one a person does: it gives what an honest sheet has, and what goes on from another number is known. */
    private static boolean isWorkedBy(List<Step> steps, Optional<Double> honest) {
        Step last = steps.get(steps.size() - 1);
        return honest.isPresent()
                && last.formula().isKnown()
                && Tolerance.ROUNDING.equal(last.out().value(), honest.get());
    }

    /** Returns what is written on the way, in its order; none where the figure follows at once, or from other figures. */
    public List<Intermediate> intermediates() {
        return repeats.isEmpty()
                ? List.of()
                : repeats.get(0).subList(0, repeats.get(0).size() - 1).stream()
                        .flatMap(step ->
                                Keyed.find(Intermediate.values(), step.out().name()).stream())
                        .toList();
    }

    /**
     * Returns what stands at an intermediate figure, mm, rad or a number, the mean of the repeats.
     *
     * @param wrote what was written on the way to it, mm, rad or a number without unit
     */
    public OptionalDouble at(Intermediate intermediate, Map<Intermediate, Double> wrote) {
        return repeats.stream()
                .flatMap(steps -> steps.stream().filter(s -> s.out().name().equals(intermediate.key())))
                .mapToDouble(s -> s.out().value())
                .average()
                .stream()
                .map(mean -> mean + shift(intermediate.key(), wrote))
                .findFirst();
    }

    /**
     * Returns the change of the figure if these intermediate figures were written, rad or mm.
     *
     * @param wrote what was written on the way to it, mm, rad or a number without unit
     */
    public double shift(Map<Intermediate, Double> wrote) {
        return repeats.isEmpty()
                ? 0
                : shift(repeats.get(0).get(repeats.get(0).size() - 1).out().name(), wrote);
    }

    private double shift(String name, Map<Intermediate, Double> wrote) {
        Map<String, Double> written = new HashMap<>();
        wrote.forEach((what, value) -> at(what, Map.of()).ifPresent(mean -> written.put(what.key(), value - mean)));
        return repeats.stream()
                .mapToDouble(steps -> shift(steps, name, written))
                .average()
                .orElse(0);
    }

    private static double shift(List<Step> steps, String name, Map<String, Double> written) {
        Map<String, Double> off = new HashMap<>();
        for (Step step : steps) {
            String out = step.out().name();
            double follows = step.in().stream().anyMatch(term -> off.containsKey(term.name()))
                    ? step.reworked(off).orElse(step.out().value()) - step.out().value()
                    : 0;
            if (out.equals(name)) {
                return follows;
            }
            off.put(out, Optional.ofNullable(written.get(out)).orElse(follows));
        }
        return 0;
    }
}
