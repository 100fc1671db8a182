package app.galdrin.web.workshop.internal;

import app.galdrin.core.fault.FaultDraw;
import app.galdrin.core.fault.FaultPlan;
import app.galdrin.core.fault.FaultPlanner;
import app.galdrin.core.fault.FaultRequest;
import app.galdrin.core.fault.FaultSight;
import app.galdrin.core.fault.PresentState;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.Measurand.Form;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.reference.VehicleHistory;
import app.galdrin.core.simulated.ProvokedSlip;
import app.galdrin.core.simulated.SlipProbe;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.sitting.VehicleHistories;
import app.galdrin.web.task.TaskBay;
import app.galdrin.web.task.TaskVersion;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Works out which fault can be set on a vehicle for a task, from what the vehicle reads now. */
@Component
class FaultDesk {

    /** Standard deviation of what is as likely anywhere within half a tolerance either way: half the width over √3. */
    private static final double EVENLY = Math.sqrt(3);

    private final VehicleHistories histories;

    FaultDesk(VehicleHistories histories) {
        this.histories = histories;
    }

    /**
     * Figures of a vehicle, rad or mm.
     *
     * @param assumed those that nobody has read: they are taken as the sheet prefers them, or as half of a total
     * @param moved by how much each part was moved on the way there, as {@link PresentState} has it
     */
    record KnownFigures(Map<FigureId, Estimate> values, Set<FigureId> assumed, Map<String, Double> moved) {
        PresentState present() {
            return new PresentState(values, moved);
        }
    }

    /**
     * Fault as it was worked out, and what the task sees of it.
     *
     * @param sights empty where nothing can be set
     */
    record WorkedFault(FaultPlan plan, List<FaultSight> sights) {

        /** Returns whether some step of the task sees something of it. */
        boolean isSeen() {
            return sights.stream().anyMatch(FaultSight::isSeen);
        }
    }

    /** Returns what a vehicle reads now; what nobody has read is assumed. */
    KnownFigures now(SignedIn me, TaskBay place) {
        SpecificationSheet sheet = place.sheet().sheet();
        VehicleHistory history = histories
                .around(me.centreId(), List.of(place.stateId()), VehicleHistories.handedIn())
                .history();
        String state = place.stateId().toString();
        Map<FigureId, Estimate> values = new HashMap<>();
        // as everybody read them, also by way of what was moved since: the best known of each
        history.best(state).forEach((figure, value) -> values.put(figure, value.value()));
        Set<FigureId> assumed = new HashSet<>();
        FaultRequest.movable(sheet).stream()
                .filter(figure -> !values.containsKey(figure))
                .forEach(figure -> assume(figure, sheet, values).ifPresent(value -> {
                    values.put(figure, value);
                    assumed.add(figure);
                }));
        return new KnownFigures(values, assumed, history.movedTo(state));
    }

    /** Half of a total that was read, else what the sheet prefers; as uncertain as half a tolerance either way. */
    private static Optional<Estimate> assume(FigureId figure, SpecificationSheet sheet, Map<FigureId, Estimate> read) {
        double spread = sheet.limits(figure)
                .filter(l -> l.min().isPresent() && l.max().isPresent())
                .map(l -> (l.max().getAsDouble() - l.min().getAsDouble()) / 2 / EVENLY)
                .orElse(0.0);
        Optional<Estimate> total = figure.measurand() == Measurand.TOE
                ? figure.axle().map(axle -> read.get(FigureId.of(Measurand.TOTAL_TOE, axle)))
                : Optional.empty();
        if (total.isPresent()) {
            double half = total.get().standardUncertainty() / 2;
            return Optional.of(new Estimate(total.get().value() / 2, Math.hypot(half, spread)));
        }
        return sheet.limits(figure)
                .map(Limits::target)
                .filter(OptionalDouble::isPresent)
                .map(target -> new Estimate(target.getAsDouble(), spread));
    }

    /** Draws a fault that the task can see, of one difficulty; one that brings out a slip where the form asks for that. */
    Optional<FaultRequest> draw(TaskVersion task, TaskBay place, KnownFigures now, FaultForm form) {
        Assignment assignment = assignment(task, place);
        var present = new PresentState(withTotals(now), now.moved());
        Optional<ProvokedSlip> slip = SlipProbe.slips(assignment).stream()
                .filter(s -> s.key().equals(form.slip()))
                .findFirst();
        return slip.isPresent()
                ? FaultDraw.showing(assignment, present, form.road(), form.difficulty(), form.seed(), slip.get())
                : FaultDraw.draw(assignment, present, form.road(), form.difficulty(), form.seed());
    }

    /** Totals and side differences follow from wheels where they were not read themselves. */
    private static Map<FigureId, Estimate> withTotals(KnownFigures now) {
        Map<FigureId, Estimate> all = new HashMap<>(now.values());
        for (FigureId figure : now.values().keySet()) {
            for (Measurand made : figure.measurand().madeOfIt()) {
                figure.axle()
                        .map(axle -> FigureId.of(made, axle))
                        .ifPresent(both -> ofBoth(both, now.values()).ifPresent(value -> all.putIfAbsent(both, value)));
            }
        }
        return all;
    }

    private static Optional<Estimate> ofBoth(FigureId both, Map<FigureId, Estimate> wheels) {
        double value = 0;
        double variance = 0;
        for (Wheel wheel : Wheel.values()) {
            if (both.measurand().form() != Form.OWN && both.axle().equals(Optional.of(wheel.axle()))) {
                Estimate one = wheels.get(both.part(wheel));
                if (one == null) {
                    return Optional.empty();
                }
                value += (wheel.left() ? 1 : both.measurand().form().rightFactor()) * one.value();
                variance += Math.pow(one.standardUncertainty(), 2);
            }
        }
        return both.measurand().form() == Form.OWN
                ? Optional.empty()
                : Optional.of(new Estimate(value, Math.sqrt(variance)));
    }

    /** Works a fault out: what to turn, what the vehicle reads then, and what the task sees of it. */
    WorkedFault work(TaskVersion task, TaskBay place, KnownFigures now, FaultForm form) {
        SpecificationSheet sheet = place.sheet().sheet();
        Map<FigureId, Double> wanted = form.wanted(asked(sheet));
        FaultPlan plan = FaultPlanner.plan(new FaultRequest(sheet, now.present(), wanted, form.road()));
        List<FaultSight> sights = plan instanceof FaultPlan.Moves moves
                ? FaultSight.of(assignment(task, place), moves.moves())
                : List.of();
        return new WorkedFault(plan, sights);
    }

    /** The figures that can be asked for on a vehicle. */
    static List<FigureId> asked(SpecificationSheet sheet) {
        return FaultRequest.movable(sheet).stream().filter(FaultForm::isAsked).toList();
    }

    static Assignment assignment(TaskVersion task, TaskBay place) {
        return Assignment.of(task.practical(), place.sheet().sheet());
    }
}
