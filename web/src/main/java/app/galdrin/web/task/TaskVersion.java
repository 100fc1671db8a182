package app.galdrin.web.task;

import app.galdrin.core.task.Practical;
import app.galdrin.web.library.SheetVersion;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * A practical as it was set; never changed, since sittings are pinned to it.
 *
 * @param seriesId what its versions share: the id of the first
 * @param version 1 and up
 * @param sheets the sheets it may be sat on, at least one; the first is the one the bench showed
 */
public record TaskVersion(
        UUID id,
        UUID centreId,
        UUID seriesId,
        int version,
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
