package app.galdrin.web.equipment;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A revision before it is written; as in {@link PieceRevision}.
 *
 * @param resolution mm or deg, above 0; null: as is usual for the kind
 * @param offsetShown mm or deg
 * @param offsetDoubt standard uncertainty, mm or deg, 0 or more
 * @param toolLength mm, above 0; null: as is usual
 * @param lengthDoubt standard uncertainty, mm, 0 or more
 */
public record NewRevision(
        @Nullable Double resolution,
        double offsetShown,
        double offsetDoubt,
        @Nullable Double toolLength,
        double lengthDoubt,
        String certificate,
        @Nullable LocalDate certifiedOn,
        @Nullable LocalDate dueOn,
        boolean inUse,
        String note) {

    /** A piece as is usual for its kind, without a certificate. */
    static final NewRevision USUAL = new NewRevision(null, 0, 0, null, 0, "", null, null, true, "");
}
