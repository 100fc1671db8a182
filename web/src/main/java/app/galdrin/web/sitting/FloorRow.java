package app.galdrin.web.sitting;

import app.galdrin.core.procedure.BayFloor;
import app.galdrin.web.bay.Facing;
import app.galdrin.web.bay.Survey;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The floor a sitting is worked with: the survey that held when the sitting came into its bay.
 *
 * @param baySince when it came there; null for one from before surveys were kept
 * @param along as in {@link Survey}, deg; null, as all that follows, where nobody had surveyed the bay by then
 */
public record FloorRow(
        @Nullable Integer bay,
        @Nullable Instant baySince,
        @Nullable Double along,
        @Nullable Double across,
        @Nullable Double doubt,
        @Nullable Facing faces) {

    /** Empty for a sitting from before surveys were kept. */
    public Optional<BayFloor> floor() {
        if (baySince == null) {
            return Optional.empty();
        }
        int number = bay == null ? 0 : bay;
        return along == null || across == null || doubt == null || faces == null
                ? Optional.of(BayFloor.unsurveyed(number))
                : Optional.of(Survey.floor(number, along, across, doubt, faces));
    }
}
