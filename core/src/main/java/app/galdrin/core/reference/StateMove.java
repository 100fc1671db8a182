package app.galdrin.core.reference;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.FigurePosition;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.PartDoubt;
import app.galdrin.core.spec.PartMoves;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.DoubtSource.Origin;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Way from one state of a vehicle to another: the parts that were moved, or moved and put back.
 *
 * @param from id of the state before
 * @param to id of the state after
 * @param people ids of those whose word it is; empty where it is an instructor's
 * @param moves amounts by part
 * @param returned parts that stand as in the state before, as well as they can be put back
 */
public record StateMove(String from, String to, Set<String> people, PartMoves moves, List<PartDoubt> returned) {

    /** The group that doubts of moves are told under, and that of parts that were put back. */
    private static final String MOVE = "move";

    private static final String PUT_BACK = "putBack";

    private static final OrderSchool ORDER = OrderSchool.A;

    public StateMove {
        people = Set.copyOf(people);
        returned = List.copyOf(returned);
    }

    /** Returns whether the vehicle has the same setting at both ends: what was moved was put back. */
    boolean isReturn() {
        return moves.units().values().stream().allMatch(amount -> amount == 0);
    }

    /** Returns whether it touches a state. */
    boolean touches(String state) {
        return from.equals(state) || to.equals(state);
    }

    /** Returns the state at the other end. */
    String beyond(String state) {
        return from.equals(state) ? to : from;
    }

    /** Returns whether the sheet says what it does to a figure; a part that was put back does nothing that its step does not. */
    public boolean tells(FigureId figure) {
        return moves.units().entrySet().stream()
                .allMatch(move -> move.getValue() == 0 || isKnown(move.getKey(), figure));
    }

    /** Returns whether the sheet says what a part does to a figure, also that it does nothing. */
    private static boolean isKnown(Adjuster part, FigureId figure) {
        if (figure.ofBothWheels()) {
            return Arrays.stream(Wheel.values())
                    .filter(wheel -> figure.axle().equals(Optional.of(wheel.axle())))
                    .allMatch(wheel -> isKnown(part, figure.part(wheel)));
        }
        if (part.effectOn(figure).isPresent()) {
            return part.effectOn(figure).get().perUnit().isPresent();
        }
        List<FigureId> near = part.effects().keySet().stream()
                .filter(moved -> isNear(moved, figure))
                .toList();
        int turn = figure.measurand() == Measurand.THRUST
                ? -1
                : ORDER.turn(figure.measurand()).orElse(-1);
        return near.isEmpty()
                || figure.at().equals(FigurePosition.AHEAD)
                        && near.stream()
                                .allMatch(moved -> ORDER.turn(moved.measurand()).orElse(-1) >= turn && turn >= 0);
    }

    /** Returns whether moving one figure can disturb another: of the same wheel, or where either belongs to both wheels, of the same axle. */
    private static boolean isNear(FigureId moved, FigureId figure) {
        boolean isOfWheels = moved.wheel().isPresent() && figure.wheel().isPresent();
        return isOfWheels
                ? moved.wheel().equals(figure.wheel())
                : moved.axle().isEmpty()
                        || figure.axle().isEmpty()
                        || moved.axle().equals(figure.axle());
    }

    /**
     * Returns what a figure is at the other end, with the doubts of the way.
     *
     * @param known rad or mm, in the state that it is known of
     * @param state id of that state
     */
    Estimate carry(Estimate known, String state, FigureId figure) {
        int sign = from.equals(state) ? 1 : -1;
        Estimate there = known.plus(Estimate.exact(sign * moves.change(figure)));
        for (Map.Entry<Adjuster, Double> move : moves.units().entrySet()) {
            Adjuster part = move.getKey();
            if (move.getValue() != 0) {
                // the effect a unit is as wrong in every move of the part: there and back it falls out
                there = there.with(
                                DoubtSource.shared(Origin.SHEET, MOVE + "/" + part.id()),
                                sign * part.doubtPerUnit(figure) * move.getValue())
                        .with(step(part, MOVE), sign * PartDoubt.ofOneMove(part).in(figure));
            }
        }
        for (PartDoubt doubt : returned) {
            there = there.with(step(doubt.part(), PUT_BACK), sign * doubt.in(figure));
        }
        return there;
    }

    private DoubtSource step(Adjuster part, String group) {
        return DoubtSource.reading(group + "/" + to + "/" + part.id(), group);
    }
}
