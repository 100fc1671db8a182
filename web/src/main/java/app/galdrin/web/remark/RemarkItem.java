package app.galdrin.web.remark;

import app.galdrin.core.marking.KnownReferences;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.References;
import app.galdrin.core.marking.WorkingSteps;
import app.galdrin.core.task.Practical;
import app.galdrin.web.sitting.Log;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** A sitting with all that it is marked by. */
record RemarkItem(
        List<RemarkMapper.StoredSheetRow> people,
        KnownReferences known,
        Practical practical,
        Log log,
        References references,
        Map<UUID, Integer> seqs) {

    MarkSheet withSteps(MarkSheet marked) {
        return new WorkingSteps(known.assignment(), log.answers()).on(marked);
    }
}
