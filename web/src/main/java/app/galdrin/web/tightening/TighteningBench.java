package app.galdrin.web.tightening;

import app.galdrin.core.spec.FastenerUse;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Step;
import app.galdrin.core.tightening.Tightening;
import app.galdrin.web.task.BenchDraft;
import app.galdrin.web.task.StepBench;
import app.galdrin.web.words.PartWords;
import app.galdrin.web.words.Words;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The fasteners of a vehicle on the bench. */
@Component
class TighteningBench implements StepBench {

    private final Words words;

    TighteningBench(Words words) {
        this.words = words;
    }

    /**
     * Use of fasteners, on the bench.
     *
     * @param data names and torques of those that the vehicle's sheet has; empty where it has none
     */
    public record UseRow(String use, boolean taken, List<String> data) {}

    @Override
    public String kind() {
        return Tightening.KIND;
    }

    /** The vehicle's own, and those that are taken though it has none. */
    @Override
    public Object view(Step step, BenchDraft draft) {
        SpecificationSheet sheet = draft.sheet().sheet();
        List<FastenerUse> taken = ((Tightening) step).uses();
        var parts = new PartWords(words);
        return Stream.of(FastenerUse.values())
                .filter(use -> taken.contains(use) || !sheet.fasteners(use).isEmpty())
                .map(use -> new UseRow(
                        use.key(),
                        taken.contains(use),
                        sheet.fasteners(use).stream()
                                .map(f -> f.name() + ": " + parts.torque(f))
                                .toList()))
                .toList();
    }
}
