package app.galdrin.web.form;

import app.galdrin.core.jobcard.JobCard;
import app.galdrin.core.jobcard.Repair;
import app.galdrin.web.task.BenchDraft;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Job card on the bench. */
@Component
class JobCardBench extends FormBench {

    JobCardBench() {
        super(JobCard.KIND);
    }

    /** The repairs that there can have been. */
    @Override
    List<String> choices(BenchDraft draft) {
        return Stream.of(Repair.values()).map(Repair::key).toList();
    }
}
