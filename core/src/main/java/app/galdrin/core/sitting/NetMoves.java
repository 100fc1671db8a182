package app.galdrin.core.sitting;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Direction;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/** Adds up the moves that rounds of adjusting made on a vehicle, so that the way back is a sum. */
public final class NetMoves {

    /** Amounts are written to hundredths; a sum nearer to zero than this (in the unit of its part) is zero. */
    private static final double NONE = 1e-6;

    private final Map<String, NetMove> byPart = new LinkedHashMap<>();
    private boolean isComplete = true;

    /** Basis of an amount, from the best to the poorest. */
    public enum Basis {
        /** Written in the round in which the part was moved. */
        WRITTEN,
        /** Planned: a task of one round does not ask what was moved. */
        PLANNED,
        /** Direction alone. */
        DIRECTION
    }

    /**
     * Sum of the moves of one part.
     *
     * @param amount in the unit of the part, positive in the direction that counts as positive
     * @param basis the poorest of its moves
     */
    public record NetMove(Adjuster part, double amount, Basis basis) {

        /** Returns the direction in which the part is moved to stand as before; {@link Direction#LEAVE} where the moves cancel. */
        public Direction wayBack() {
            return part.part().way(Math.abs(amount) < NONE ? 0 : -(int) Math.signum(amount));
        }

        private NetMove plus(NetMove later) {
            return new NetMove(
                    later.part, amount + later.amount, basis.compareTo(later.basis) > 0 ? basis : later.basis);
        }

        private boolean isMoved() {
            return basis == Basis.DIRECTION || wayBack() != Direction.LEAVE;
        }
    }

    /** Place on a sheet at which the move of a part is written, and what it is worth. */
    private record MovePlace(String step, int round, Basis basis) {}

    /** Returns where the moves of a round are written; a task of one round asks for the plan alone. */
    private static List<MovePlace> places(Practical practical, Round round) {
        return round.most() == 1
                ? practical
                        .of(Plan.class)
                        .map(plan -> new MovePlace(plan.id(), 0, Basis.PLANNED))
                        .toList()
                : IntStream.rangeClosed(1, round.most())
                        .mapToObj(number -> new MovePlace(round.id(), number, Basis.WRITTEN))
                        .toList();
    }

    /** Adds the moves of one sheet whose vehicle was adjusted, of every round. */
    public NetMoves add(Practical practical, SpecificationSheet sheet, Answers answers) {
        boolean isWritten = false;
        for (Round round : practical.of(Round.class).toList()) {
            List<FigureId> figures =
                    round.measures().stream().flatMap(m -> m.figures().stream()).toList();
            for (Adjuster part : practical.adjusters(figures, sheet)) {
                for (MovePlace place : places(practical, round)) {
                    isWritten |= add(place, part, answers);
                }
            }
        }
        isComplete &= isWritten;
        return this;
    }

    /** Adds one move; returns whether anything is written of the part, also that it was left alone. */
    private boolean add(MovePlace place, Adjuster part, Answers answers) {
        Optional<Direction> way = answers.text(MoveLines.way(place.step(), part, place.round()))
                .flatMap(text -> Keyed.find(Direction.values(), text));
        way.filter(direction -> direction != Direction.LEAVE).ifPresent(direction -> {
            int sign = part.part().sign(direction);
            OptionalDouble amount = answers.at(MoveLines.amount(place.step(), part, place.round()))
                    .map(WrittenValue::value)
                    .orElse(OptionalDouble.empty());
            var move = amount.isPresent()
                    ? new NetMove(part, sign * amount.getAsDouble(), place.basis())
                    : new NetMove(part, sign, Basis.DIRECTION);
            byPart.merge(part.id(), move, NetMove::plus);
        });
        return way.isPresent();
    }

    /** Notes that somebody moved the vehicle whose sheet is not there any more. */
    public void addUnknown() {
        isComplete = false;
    }

    /** Returns whether every sheet says what was moved. */
    public boolean isComplete() {
        return isComplete;
    }

    /** Returns the parts that do not stand as before, in the order in which they were moved. */
    public List<NetMove> moved() {
        return byPart.values().stream().filter(NetMove::isMoved).toList();
    }
}
