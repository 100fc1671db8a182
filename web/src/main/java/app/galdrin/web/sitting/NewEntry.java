package app.galdrin.web.sitting;

import app.galdrin.core.sitting.LineKey;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * Entry that is to be written.
 *
 * @param text as typed; of a strike the reason, or empty
 * @param saw keys of what the writer saw standing on the line
 * @param key made where it was typed, 8 to 80 letters, digits and hyphens
 * @param deviceSeq its turn among what that device has written
 * @param writtenAt by the clock of the device
 * @param clockOffset how far the server's clock is ahead of that clock, ms
 */
public record NewEntry(
        LineKey line,
        String text,
        boolean strike,
        List<String> saw,
        String key,
        String device,
        long deviceSeq,
        Instant writtenAt,
        long clockOffset) {

    public NewEntry {
        text = text.strip();
        saw = List.copyOf(saw);
    }

    /** Returns an entry written here and now, on a page that showed what stands. */
    public static NewEntry now(LineKey line, String text, List<String> saw, String key, String device) {
        return new NewEntry(line, text, false, saw, key, device, 0, Instant.now(), 0);
    }

    public NewEntry asStrike() {
        return new NewEntry(line, text, true, saw, key, device, deviceSeq, writtenAt, clockOffset);
    }

    /** Returns the call for the instructor that follows from it; sent again it is the same call. */
    NewEntry asCall() {
        UUID call = UUID.nameUUIDFromBytes(key.getBytes(StandardCharsets.UTF_8));
        return new NewEntry(
                StaffLine.FLAG,
                StaffLine.RAISED,
                false,
                List.of(),
                call.toString(),
                device,
                deviceSeq,
                writtenAt,
                clockOffset);
    }

    /** The same, meant for what stands by these keys. */
    NewEntry seeing(List<String> standing) {
        return new NewEntry(line, text, strike, standing, key, device, deviceSeq, writtenAt, clockOffset);
    }

    /** Returns when it was written, by the server's clock. */
    public Instant corrected() {
        return writtenAt.plusMillis(clockOffset);
    }
}
