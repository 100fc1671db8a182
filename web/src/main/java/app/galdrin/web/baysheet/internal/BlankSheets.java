package app.galdrin.web.baysheet.internal;

import app.galdrin.core.equipment.Kit;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.words.Words;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;

/** The steps of sheets on which nothing has been written: a class begins with the same. */
final class BlankSheets {

    private static final int MOST_KEPT = 200;

    private final Cache<BlankSheetKey, List<StepView>> kept = Caffeine.newBuilder()
            .maximumSize(MOST_KEPT)
            .expireAfterAccess(Duration.ofHours(1))
            .build();

    /**
     * All that a blank sheet follows from.
     *
     * @param ofRound the round whose state is read, on a reference
     */
    record BlankSheetKey(
            UUID taskId,
            UUID sheetId,
            BayFloor floor,
            Kit kit,
            boolean reference,
            int ofRound,
            Words.Displays displays) {}

    List<StepView> steps(BlankSheetKey key, Supplier<List<StepView>> made) {
        return kept.get(key, blank -> made.get());
    }
}
