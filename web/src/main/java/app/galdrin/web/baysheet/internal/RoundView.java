package app.galdrin.web.baysheet.internal;

import app.galdrin.web.baysheet.FieldView;
import app.galdrin.web.baysheet.StepView;
import java.util.List;
import java.util.Optional;

/**
 * Rounds of adjusting and reading again.
 *
 * @param rounds those that have been begun
 * @param following the one after them, from which a script makes it without asking
 */
public record RoundView(Head head, List<RoundPanel> rounds, Optional<RoundPanel> following, int most, int aim)
        implements StepView {

    /**
     * One round.
     *
     * @param order what is moved first, said; empty where that is not told
     * @param goals what the figures should come to, said
     * @param targets what must be read for that; empty before anything is read
     * @param blocks what is moved and then read again, in the order of the work
     */
    public record RoundPanel(
            int number,
            String order,
            List<String> goals,
            List<Goal> targets,
            List<Block> blocks,
            Optional<FieldView> next) {

        public List<MeasureView> measures() {
            return blocks.stream().map(Block::measure).toList();
        }
    }

    /** The parts that are moved for the figures of a measurement, each where it comes first, and the measurement that is read again. */
    public record Block(List<PlanView.Move> moves, MeasureView measure) {}
}
