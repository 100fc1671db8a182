package app.galdrin.core.task;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Direction;
import app.galdrin.core.spec.SpecificationSheet;
import java.util.ArrayList;
import java.util.List;

/** The lines on which the move of a part is written, in a plan and in a round of adjusting. */
public final class MoveLine {

    /** Ends the line that says which way a part is moved. */
    public static final String WAY = ".way";

    /** Ends the line that says how far. */
    public static final String AMOUNT = ".amount";

    private MoveLine() {}

    /** The parts that move any of these figures, each once, in the order of the sheet. */
    static List<Adjuster> adjusters(SpecificationSheet sheet, List<FigureId> figures) {
        return Practical.adjustments(figures).stream()
                .flatMap(a -> sheet.adjusters(a).stream())
                .distinct()
                .toList();
    }

    /** Returns which way and how far one part is moved; how far is needless where it is left alone, or where nobody can know. */
    static List<Line> of(Adjuster adjuster) {
        var ways = AnswerType.Choice.of("way", adjuster.part().ways().toArray(Direction[]::new));
        List<Line> lines = new ArrayList<>();
        lines.add(Line.of(adjuster.id() + WAY, ways));
        if (adjuster.amountKnown()) {
            Unit unit = adjuster.unit().unit();
            lines.add(Line.of(adjuster.id() + AMOUNT, new AnswerType.Amount(unit.quantity(), unit, 0, adjuster.most()))
                    .unless(adjuster.id() + WAY, Direction.LEAVE.key()));
        }
        return lines;
    }
}
