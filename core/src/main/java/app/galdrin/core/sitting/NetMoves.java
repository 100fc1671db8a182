package app.galdrin.core.sitting;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Direction;
import app.galdrin.core.spec.PartMoves;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

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
        /** Direction alone: an amount is missing, and every move went the same way. */
        DIRECTION,
        /** No way back: an amount is missing, and the part was moved both ways. */
        UNKNOWN
    }

    /**
     * Sum of the moves of one part.
     *
     * @param amount in the unit of the part, positive in the direction that counts as positive; its sign alone counts without a written amount
     * @param basis the poorest of its moves
     */
    public record NetMove(Adjuster part, double amount, Basis basis) {

        /** Returns the direction in which the part is moved to stand as before; {@link Direction#LEAVE} where the moves cancel, or nobody can tell. */
        public Direction wayBack() {
            boolean isNone = basis == Basis.UNKNOWN || Math.abs(amount) < NONE;
            return part.part().way(isNone ? 0 : -(int) Math.signum(amount));
        }

        private NetMove plus(NetMove later) {
            Basis poorest = basis.compareTo(later.basis) > 0 ? basis : later.basis;
            boolean isBothWays = poorest == Basis.DIRECTION && amount * later.amount < 0;
            return new NetMove(later.part, amount + later.amount, isBothWays ? Basis.UNKNOWN : poorest);
        }

        private boolean isMoved() {
            return basis == Basis.UNKNOWN || wayBack() != Direction.LEAVE;
        }
    }

    /** Adds the moves of one sheet whose vehicle was adjusted: of every round that was begun, or of the plan where no round asks what was moved. */
    public NetMoves add(Practical practical, SpecificationSheet sheet, Answers answers) {
        List<Round> asking =
                practical.of(Round.class).filter(round -> round.most() > 1).toList();
        if (asking.isEmpty()) {
            isComplete &= addPlan(practical, sheet, answers);
        }
        for (Round round : asking) {
            isComplete &= addRounds(practical, round, sheet, answers);
        }
        return this;
    }

    /** Returns what was moved in one round, by its sheet; empty where a part has no line, an amount is missing, or no round asks what was moved. */
    public static Optional<PartMoves> ofRound(
            Practical practical, SpecificationSheet sheet, Answers answers, int round) {
        var moves = new NetMoves();
        boolean isWritten = false;
        for (Round step : practical.of(Round.class).filter(r -> r.most() > 1).toList()) {
            List<Adjuster> parts = parts(practical, step, sheet);
            isWritten |= !parts.isEmpty();
            for (Adjuster part : parts) {
                moves.isComplete &= moves.add(step.id(), round, part, answers, Basis.WRITTEN);
            }
        }
        boolean isKnown = isWritten
                && moves.isComplete
                && moves.byPart.values().stream().allMatch(move -> move.basis() == Basis.WRITTEN);
        Map<Adjuster, Double> amounts = new LinkedHashMap<>();
        moves.moved().forEach(move -> amounts.put(move.part(), move.amount()));
        return isKnown ? Optional.of(new PartMoves(amounts)) : Optional.empty();
    }

    private static List<Adjuster> parts(Practical practical, Round step, SpecificationSheet sheet) {
        List<FigureId> figures =
                step.measures().stream().flatMap(m -> m.figures().stream()).toList();
        return practical.adjusters(figures, sheet);
    }

    /** Adds what was planned; returns whether every part has its line. */
    private boolean addPlan(Practical practical, SpecificationSheet sheet, Answers answers) {
        List<Plan> plans = practical.of(Plan.class).toList();
        boolean isWritten = !plans.isEmpty();
        for (Plan plan : plans) {
            for (Adjuster part : practical.adjusters(plan.figures(), sheet)) {
                isWritten &= add(plan.id(), 0, part, answers, Basis.PLANNED);
            }
        }
        return isWritten;
    }

    /** Adds what was moved in the rounds of a step; returns whether one was begun, and every part has its line in each of these. */
    private boolean addRounds(Practical practical, Round step, SpecificationSheet sheet, Answers answers) {
        List<Adjuster> parts = parts(practical, step, sheet);
        int begun = 0;
        int complete = 0;
        for (int round = 1; round <= step.most(); round++) {
            int written = 0;
            for (Adjuster part : parts) {
                written += add(step.id(), round, part, answers, Basis.WRITTEN) ? 1 : 0;
            }
            begun += written > 0 ? 1 : 0;
            complete += written == parts.size() ? 1 : 0;
        }
        return begun > 0 && complete == begun;
    }

    /** Adds one move; returns whether anything is written of the part, also that it was left alone. */
    private boolean add(String step, int round, Adjuster part, Answers answers, Basis basis) {
        Optional<Direction> way =
                answers.text(MoveLines.way(step, part, round)).flatMap(text -> Keyed.find(Direction.values(), text));
        way.filter(direction -> direction != Direction.LEAVE).ifPresent(direction -> {
            int sign = part.part().sign(direction);
            OptionalDouble amount = answers.at(MoveLines.amount(step, part, round))
                    .map(WrittenValue::value)
                    .orElse(OptionalDouble.empty());
            var move = amount.isPresent()
                    ? new NetMove(part, sign * amount.getAsDouble(), basis)
                    : new NetMove(part, sign, Basis.DIRECTION);
            byPart.merge(part.id(), move, NetMove::plus);
        });
        return way.isPresent();
    }

    /** Notes that somebody moved the vehicle whose sheet is not there any more. */
    public void addUnknown() {
        isComplete = false;
    }

    /** Returns whether every sheet says of every part what was done with it. */
    public boolean isComplete() {
        return isComplete;
    }

    /** Returns the parts that do not stand as before, in the order in which they were moved. */
    public List<NetMove> moved() {
        return byPart.values().stream().filter(NetMove::isMoved).toList();
    }
}
