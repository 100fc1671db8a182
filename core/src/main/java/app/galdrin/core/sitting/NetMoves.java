package app.galdrin.core.sitting;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Direction;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Adds up the moves that rounds of adjusting made on a vehicle, so that the way back is a sum. */
public final class NetMoves {

    /** Amounts are written to hundredths; a sum nearer to zero than this (in the unit of its part) is zero. */
    private static final double NONE = 1e-6;

    private final Map<String, NetMove> byPart = new LinkedHashMap<>();

    /**
     * Sum of the moves of one part.
     *
     * @param amount in the unit of the part, positive in the direction that counts as positive
     * @param isKnown whether every move was written with its amount
     */
    public record NetMove(Adjuster part, double amount, boolean isKnown) {

        /** Returns the direction in which the part is moved to stand as before; {@link Direction#LEAVE} where the moves cancel. */
        public Direction wayBack() {
            return part.part().way(Math.abs(amount) < NONE ? 0 : -(int) Math.signum(amount));
        }

        private NetMove plus(NetMove later) {
            return new NetMove(later.part, amount + later.amount, isKnown && later.isKnown);
        }

        private boolean isMoved() {
            return !isKnown || wayBack() != Direction.LEAVE;
        }
    }

    /** Adds the moves that are written on one sheet, of every round. */
    public NetMoves add(Practical practical, SpecificationSheet sheet, Answers answers) {
        practical.of(Round.class).forEach(round -> {
            List<FigureId> figures =
                    round.measures().stream().flatMap(m -> m.figures().stream()).toList();
            for (Adjuster part : practical.adjusters(figures, sheet)) {
                for (int number = 1; number <= round.most(); number++) {
                    move(round, part, number, answers).ifPresent(move -> byPart.merge(part.id(), move, NetMove::plus));
                }
            }
        });
        return this;
    }

    private static Optional<NetMove> move(Round round, Adjuster part, int number, Answers answers) {
        Optional<Direction> way = answers.text(MoveLines.way(round.id(), part, number))
                .flatMap(text -> Keyed.find(Direction.values(), text))
                .filter(direction -> direction != Direction.LEAVE);
        return way.map(direction -> answers.at(MoveLines.amount(round.id(), part, number))
                .filter(written -> written.value().isPresent())
                .map(written -> new NetMove(
                        part, part.part().sign(direction) * written.value().getAsDouble(), true))
                .orElseGet(() -> new NetMove(part, part.part().sign(direction), false)));
    }

    /** Returns the parts that do not stand as before, in the order in which they were moved. */
    public List<NetMove> moved() {
        return byPart.values().stream().filter(NetMove::isMoved).toList();
    }
}
