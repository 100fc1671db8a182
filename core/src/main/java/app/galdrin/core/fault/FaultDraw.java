package app.galdrin.core.fault;

import app.galdrin.core.fault.FaultPlan.Difficulty;
import app.galdrin.core.fault.FaultPlan.Moves;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.simulated.ProvokedSlip;
import app.galdrin.core.simulated.SlipProbe;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.ExpectedUncertainty;
import app.galdrin.core.task.Measure;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;

/**
 * Draws faults that a task can see. How hard one is to judge is counted in what the task's own way of measuring can miss: faults of one
 * difficulty lie equally clearly outside, whatever the vehicle and the figure.
 */
public final class FaultDraw {

    /** Draws that are tried before there is none. */
    private static final int TRIES = 60;

    /** Draws that are tried for a slip, and the simulated sheets that each is tried on. */
    private static final int SHOWING_TRIES = 20;

    private static final int SHEETS = 3;

    /** Keeps the draws for one number apart from those for the next numbers. */
    private static final long SEEDS_APART = 1_000_003;

    private final Assignment assignment;
    private final PresentState present;
    private final RoadLimits road;
    private final List<Aim> aims;

    /** A figure that a task judges on a vehicle, the figures of wheels by which it is set, and U of the step that tells it, rad or mm. */
    private record Aim(FigureId figure, Limits limits, List<FigureId> setBy, double expanded) {}

    private FaultDraw(Assignment assignment, PresentState present, RoadLimits road) {
        this.assignment = assignment;
        this.present = present;
        this.road = road;
        this.aims = aims();
    }

    /**
     * Draws a fault; the same seed draws the same one.
     *
     * @param present the vehicle as it is now
     * @return what was asked for, which {@link FaultPlanner} can set; empty where the task sees nothing that can be moved
     */
    public static Optional<FaultRequest> draw(
            Assignment assignment, PresentState present, RoadLimits road, Difficulty difficulty, long seed) {
        return new FaultDraw(assignment, present, road)
                .draw(difficulty, RandomGeneratorFactory.of("L64X128MixRandom").create(seed));
    }

    /**
     * Draws a fault on which a slip shows: somebody who makes it is told so by name, on every one of a few simulated sheets.
     *
     * @param present the vehicle as it is now
     * @param seed any number; the same draws the same
     * @return what was asked for; empty where no fault of the difficulty shows the slip
     */
    public static Optional<FaultRequest> showing(
            Assignment assignment,
            PresentState present,
            RoadLimits road,
            Difficulty difficulty,
            long seed,
            ProvokedSlip slip) {
        for (int i = 0; i < SHOWING_TRIES; i++) {
            Optional<FaultRequest> drawn = draw(assignment, present, road, difficulty, seed + i * SEEDS_APART);
            if (drawn.isPresent() && shows(assignment, drawn.get(), slip, seed)) {
                return drawn;
            }
        }
        return Optional.empty();
    }

    private static boolean shows(Assignment assignment, FaultRequest request, ProvokedSlip slip, long seed) {
        if (!(FaultPlanner.plan(request) instanceof Moves plan)) {
            return false;
        }
        Map<FigureId, Double> figures = new HashMap<>(
                ExpectedUncertainty.asTheSheetWants(assignment.sheet()).figures());
        plan.figures().stream()
                .filter(figure -> !figure.figure().ofBothWheels())
                .forEach(figure -> figures.put(figure.figure(), figure.after().value()));
        return SlipProbe.named(assignment, new Truth(figures), slip, SHEETS, seed) == SHEETS;
    }

    private Optional<FaultRequest> draw(Difficulty difficulty, RandomGenerator random) {
        for (int i = 0; i < TRIES && !aims.isEmpty(); i++) {
            FaultRequest request = asked(aims.get(random.nextInt(aims.size())), difficulty, random);
            if (FaultPlanner.plan(request) instanceof Moves plan && isAsHardAs(request, plan, difficulty)) {
                return Optional.of(request);
            }
        }
        return Optional.empty();
    }

    /** One figure beyond one of its limits, by one of the wheels that it is set by. */
    private FaultRequest asked(Aim aim, Difficulty difficulty, RandomGenerator random) {
        boolean isAbove = aim.limits().min().isEmpty() || aim.limits().max().isPresent() && random.nextBoolean();
        double beyond = aim.expanded() * random.nextDouble(difficulty.least(), difficulty.most());
        double value = isAbove
                ? aim.limits().max().orElseThrow() + beyond
                : aim.limits().min().orElseThrow() - beyond;
        FigureId wheel = aim.setBy().get(random.nextInt(aim.setBy().size()));
        double change = value - valueNow(aim.figure());
        double share =
                aim.figure().ofBothWheels() && !wheel.wheel().orElseThrow().left()
                        ? aim.figure().measurand().form().rightFactor() * change
                        : change;
        return new FaultRequest(assignment.sheet(), present, Map.of(wheel, valueNow(wheel) + share), road);
    }

    /** Whole steps may land nearer to the limit or farther off: the fault that comes of them has to be as hard as was asked. */
    private boolean isAsHardAs(FaultRequest request, Moves plan, Difficulty difficulty) {
        return aims.stream().anyMatch(aim -> {
            double after = valueNow(aim.figure()) + plan.moves().change(aim.figure());
            double beyond = Math.max(
                    after - aim.limits().max().orElse(Double.POSITIVE_INFINITY),
                    aim.limits().min().orElse(Double.NEGATIVE_INFINITY) - after);
            boolean isSet = aim.setBy().stream().anyMatch(request.wanted()::containsKey);
            return isSet
                    && beyond >= difficulty.least() * aim.expanded()
                    && beyond <= difficulty.most() * aim.expanded();
        });
    }

    /** Every figure that the task tells and its sheet limits, whose wheels are known and can be moved. */
    private List<Aim> aims() {
        List<FigureId> movable = FaultRequest.movable(assignment.sheet());
        List<Aim> found = new ArrayList<>();
        for (Measure measure : assignment.practical().measures(0)) {
            for (FigureId figure : measure.figuresAndDifferences()) {
                List<FigureId> setBy = wheels(figure).stream()
                        .filter(wheel ->
                                movable.contains(wheel) && present.figures().containsKey(wheel))
                        .toList();
                Optional<Limits> limits = assignment.limits(figure);
                Optional<Estimate> expected = assignment.asAsked(measure, figure);
                if (!setBy.isEmpty()
                        && limits.isPresent()
                        && expected.isPresent()
                        && present.figures().containsKey(figure)) {
                    double expanded = Judgement.K * expected.get().standardUncertainty();
                    found.add(new Aim(figure, limits.get(), setBy, expanded));
                }
            }
        }
        return found;
    }

    private double valueNow(FigureId figure) {
        return Objects.requireNonNull(present.figures().get(figure)).value();
    }

    private static List<FigureId> wheels(FigureId figure) {
        if (!figure.ofBothWheels()) {
            return List.of(figure);
        }
        List<FigureId> wheels = new ArrayList<>();
        for (Wheel wheel : Wheel.values()) {
            if (Optional.of(wheel.axle()).equals(figure.axle())) {
                wheels.add(figure.part(wheel));
            }
        }
        return wheels;
    }
}
