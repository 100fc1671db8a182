package app.galdrin.web.task;

import app.galdrin.core.task.Practical;
import app.galdrin.web.library.SheetVersion;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * A practical as it was set; never changed, since sittings are pinned to it.
 *
 * @param sheets the sheets it may be sat on, at least one; the first is the one the bench showed
 */
public record TaskVersion(
        UUID id,
        UUID centreId,
        Practical practical,
        List<SheetVersion> sheets,
        UUID classId,
        String className,
        Instant createdAt) {

    public String title() {
        return practical.title();
    }

    public SheetVersion firstSheet() {
        return sheets.get(0);
    }
}
