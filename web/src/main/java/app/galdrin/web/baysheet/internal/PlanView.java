package app.galdrin.web.baysheet.internal;

import app.galdrin.web.baysheet.FieldView;
import app.galdrin.web.baysheet.StepView;
import java.util.List;
import java.util.Optional;

/** Move that follows from the threads, in which order, which way and how far; what to look for where nothing can be moved. */
public record PlanView(
        Head head,
        List<Figure> figures,
        String order,
        List<Move> moves,
        List<NoMove> noMoves,
        List<WorkView.GivenDatum> given)
        implements StepView {

    /** A figure as it is and as it should be, said. */
    public record Figure(String name, String own, String preferred) {}

    /** One part; in order what to slacken, tighten and read again, said. */
    public record Move(String name, FieldView way, Optional<FieldView> amount, String unit, List<String> steps) {}

    /** Figures that nothing moves. */
    public record NoMove(String name, FieldView field) {}
}
