package app.galdrin.web.baysheet.internal;

import java.util.List;
import java.util.Optional;

/**
 * Rounds of adjusting and reading again.
 *
 * @param rounds those that have been begun
 * @param following the one after them, from which a script makes it without asking
 */
public record RoundView(Head head, List<One> rounds, Optional<One> following, int most, int aim) implements StepView {

    /**
     * One round.
     *
     * @param order what is moved first, said; empty where that is not told
     * @param goals what the figures should come to, said
     * @param targets what must be read for that; empty before anything is read
     */
    public record One(
            int number,
            String order,
            List<PlanView.Move> moves,
            List<String> goals,
            List<Goal> targets,
            List<MeasureView> measures,
            Optional<FieldView> next) {}
}
