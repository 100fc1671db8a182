package app.galdrin.core.fault;

import app.galdrin.core.fault.FaultPlan.FigureAfter;
import app.galdrin.core.fault.FaultPlan.Moves;
import app.galdrin.core.fault.FaultPlan.Reason;
import app.galdrin.core.fault.FaultPlan.Refusal;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand.Form;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.PartMoves;
import app.galdrin.core.spec.SheetLine;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * Plans which parts to move, by whole smallest steps, so that a vehicle reads as wanted and everything else stays. Least squares in half
 * tolerances finds the amounts; the steps around them are searched for the best whole ones.
 */
public final class FaultPlanner {

    /** Half tolerance of a figure whose sheet gives no two limits, rad and mm. */
    private static final double USUAL_ANGLE = Math.toRadians(0.3);

    private static final double USUAL_LENGTH = 3;

    /** A part that is not needed stays: moving all its range costs as much as this share of a half tolerance. */
    private static final double STAY = 0.01;

    /** Share of a half tolerance by which a figure that was not asked for may move, and a wanted one may be missed, beyond half a step. */
    private static final double NEAR = 0.25;

    private final FaultRequest request;
    private final List<Adjuster> parts;
    private final List<FigureId> figures;

    private FaultPlanner(FaultRequest request) {
        this.request = request;
        this.parts = request.sheet().adjusters().stream()
                .filter(Adjuster::amountKnown)
                .toList();
        this.figures = FaultRequest.movable(request.sheet());
    }

    /** Returns what to turn so that a vehicle reads as wanted, or every reason why it cannot be set so. */
    public static FaultPlan plan(FaultRequest request) {
        return new FaultPlanner(request).plan();
    }

    private FaultPlan plan() {
        List<Reason> reasons = new ArrayList<>();
        request.wanted().keySet().stream().sorted().forEach(figure -> {
            if (!request.now().containsKey(figure)) {
                reasons.add(new Reason.NotRead(figure));
            } else if (!figures.contains(figure)) {
                reasons.add(new Reason.NotMoved(figure));
            }
        });
        if (request.wanted().isEmpty()) {
            reasons.add(new Reason.NothingWanted());
        }
        if (!reasons.isEmpty()) {
            return new Refusal(reasons);
        }
        double[] exact = leastSquares();
        for (int p = 0; p < exact.length; p++) {
            Adjuster part = parts.get(p);
            if (Math.abs(exact[p]) > part.most() + part.smallestStep() / 2) {
                reasons.add(new Reason.BeyondRange(part, Math.abs(exact[p])));
            }
        }
        if (!reasons.isEmpty()) {
            return new Refusal(reasons);
        }
        PartMoves moves = moves(wholeSteps(exact));
        reasons.addAll(unreached(moves));
        if (moves.units().isEmpty() && reasons.isEmpty()) {
            reasons.add(new Reason.NothingWanted());
        }
        reasons.addAll(littleThread(moves));
        reasons.addAll(unsafe(moves));
        return reasons.isEmpty() ? new Moves(moves, after(moves)) : new Refusal(reasons);
    }

    // ---- the moves

    /** Returns the change that is wanted of a figure, rad or mm; 0 of one that is to stay. */
    private double wanted(FigureId figure) {
        Double value = request.wanted().get(figure);
        Estimate now = request.now().get(figure);
        return value == null || now == null ? 0 : value - now.value();
    }

    /** Half the width of a figure's tolerance, rad or mm. */
    private double half(FigureId figure) {
        return halfTolerance(request.sheet(), figure);
    }

    /** Returns half the width of the tolerance of a figure, rad or mm, positive; a usual one where the sheet does not give both limits. */
    static double halfTolerance(SpecificationSheet sheet, FigureId figure) {
        return sheet.limits(figure)
                .filter(l -> l.min().isPresent() && l.max().isPresent())
                .map(l -> (l.max().getAsDouble() - l.min().getAsDouble()) / 2)
                .filter(half -> half > 0)
                .orElse(figure.measurand().quantity() == Quantity.ANGLE ? USUAL_ANGLE : USUAL_LENGTH);
    }

    /** Amounts of the parts in their units, by least squares: a row for each figure, and one that lets each part stay. */
    private double[] leastSquares() {
        RealMatrix rows = MatrixUtils.createRealMatrix(figures.size() + parts.size(), parts.size());
        var right = new ArrayRealVector(figures.size() + parts.size());
        for (int f = 0; f < figures.size(); f++) {
            FigureId figure = figures.get(f);
            for (int p = 0; p < parts.size(); p++) {
                rows.setEntry(f, p, parts.get(p).knownChangePerUnit(figure) / half(figure));
            }
            right.setEntry(f, wanted(figure) / half(figure));
        }
        for (int p = 0; p < parts.size(); p++) {
            rows.setEntry(figures.size() + p, p, STAY / parts.get(p).most());
        }
        return new QRDecomposition(rows).getSolver().solve(right).toArray();
    }

    /** Whole steps near the exact amounts: single steps, pairs of them, and parts left alone are taken while they come nearer. */
    private int[] wholeSteps(double[] exact) {
        int[] steps = new int[exact.length];
        for (int p = 0; p < steps.length; p++) {
            steps[p] = (int) Math.round(exact[p] / parts.get(p).smallestStep());
        }
        boolean isBetter = true;
        while (isBetter) {
            isBetter = false;
            double best = misfit(steps);
            int[] nearest = steps;
            for (int[] near : neighbours(steps)) {
                double there = misfit(near);
                if (there < best - 1e-12) {
                    best = there;
                    nearest = near;
                    isBetter = true;
                }
            }
            steps = nearest;
        }
        return steps;
    }

    private List<int[]> neighbours(int[] steps) {
        List<int[]> near = new ArrayList<>();
        for (int p = 0; p < steps.length; p++) {
            for (int way = -1; way <= 1; way += 2) {
                int[] one = moved(steps, p, way);
                near.add(one);
                near.add(moved(steps, p, -steps[p])); // left alone
                for (int q = p + 1; q < steps.length; q++) {
                    near.add(moved(one, q, -1));
                    near.add(moved(one, q, 1));
                }
            }
        }
        near.removeIf(each -> !isInRange(each));
        return near;
    }

    private static int[] moved(int[] steps, int part, int change) {
        int[] next = steps.clone();
        next[part] += change;
        return next;
    }

    private boolean isInRange(int[] steps) {
        for (int p = 0; p < steps.length; p++) {
            if (Math.abs(steps[p]) * parts.get(p).smallestStep() > parts.get(p).most() + 1e-9) {
                return false;
            }
        }
        return true;
    }

    /**
     * Sum of squares of what the steps miss, in half tolerances. Every part that is moved has its price: it is worth it only where it brings the
     * figures nearer by more than is near enough.
     */
    private double misfit(int[] steps) {
        PartMoves moves = moves(steps);
        double sum = 0;
        for (FigureId figure : figures) {
            double missed = (moves.change(figure) - wanted(figure)) / half(figure);
            sum += missed * missed;
        }
        for (Map.Entry<Adjuster, Double> move : moves.units().entrySet()) {
            double share = STAY * move.getValue() / move.getKey().most();
            sum += share * share + NEAR * NEAR;
        }
        return sum;
    }

    private PartMoves moves(int[] steps) {
        Map<Adjuster, Double> units = new LinkedHashMap<>();
        for (int p = 0; p < steps.length; p++) {
            if (steps[p] != 0) {
                units.put(parts.get(p), steps[p] * parts.get(p).smallestStep());
            }
        }
        return new PartMoves(units);
    }

    // ---- what comes of them

    /** Figures that whole steps do not bring where they are wanted, or that move with others though they were to stay. */
    private List<Reason> unreached(PartMoves moves) {
        List<Reason> reasons = new ArrayList<>();
        for (FigureId figure : figures) {
            double missed = Math.abs(moves.change(figure) - wanted(figure));
            Estimate now = request.now().get(figure);
            if (now != null && missed > Math.max(NEAR * half(figure), halfStep(moves, figure)) + 1e-12) {
                reasons.add(new Reason.NotReached(figure, now.value() + moves.change(figure)));
            }
        }
        return reasons;
    }

    /** Half of the greatest step of the parts that were moved and move a figure, rad or mm; 0 where none was. */
    private static double halfStep(PartMoves moves, FigureId figure) {
        return moves.units().keySet().stream()
                .mapToDouble(part -> Math.abs(part.knownChangePerUnit(figure)) * part.smallestStep() / 2)
                .max()
                .orElse(0);
    }

    private List<Reason> littleThread(PartMoves moves) {
        List<Reason> reasons = new ArrayList<>();
        moves.units().forEach((part, amount) -> {
            double longer = request.present().moved().getOrDefault(part.id(), 0.0) + amount;
            double spare = part.spare().orElse(Double.POSITIVE_INFINITY);
            if (amount > 0 && longer > spare + 1e-9) {
                reasons.add(new Reason.LittleThread(part, longer, spare));
            }
        });
        return reasons;
    }

    private List<Reason> unsafe(PartMoves moves) {
        List<Reason> reasons = new ArrayList<>();
        for (FigureId figure : figures) {
            Estimate now = request.now().get(figure);
            if (now != null && moves.change(figure) != 0) {
                double value = now.value() + moves.change(figure);
                if (!request.road().allows(figure, value)) {
                    reasons.add(new Reason.Unsafe(figure, value));
                }
            }
        }
        return reasons;
    }

    /** Every figure of a wheel that is known, and what follows from two of them where the sheet limits it. */
    private List<FigureAfter> after(PartMoves moves) {
        Map<FigureId, FigureAfter> after = new TreeMap<>();
        request.now().forEach((figure, now) -> after.put(figure, after(figure, now, moves)));
        for (SheetLine line : request.sheet().lines()) {
            if (line.measurand().form() != Form.OWN && line.axle().isPresent()) {
                FigureId both = FigureId.of(line.measurand(), line.axle().get());
                ofBoth(both).ifPresent(now -> after.putIfAbsent(both, after(both, now, moves)));
            }
        }
        return List.copyOf(after.values());
    }

    /** A sum or difference of both wheels as they are now; empty where one of them is not known. */
    private Optional<Estimate> ofBoth(FigureId both) {
        Axle axle = both.axle().orElseThrow();
        Estimate left = request.now().get(both.part(axle == Axle.FRONT ? Wheel.FRONT_LEFT : Wheel.REAR_LEFT));
        Estimate right = request.now().get(both.part(axle == Axle.FRONT ? Wheel.FRONT_RIGHT : Wheel.REAR_RIGHT));
        if (left == null || right == null) {
            return Optional.empty();
        }
        return Optional.of(both.measurand().form() == Form.SUM ? left.plus(right) : left.minus(right));
    }

    private FigureAfter after(FigureId figure, Estimate now, PartMoves moves) {
        double doubt = moves.doubt(figure);
        Estimate moved = new Estimate(now.value() + moves.change(figure), Math.hypot(now.standardUncertainty(), doubt));
        return new FigureAfter(figure, now, moved, request.wanted().containsKey(figure));
    }
}
