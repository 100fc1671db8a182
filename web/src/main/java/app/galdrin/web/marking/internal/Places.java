package app.galdrin.web.marking.internal;

import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.OnPaper;
import app.galdrin.web.sketch.Sketch;
import java.util.List;
import java.util.Map;

/**
 * A sketch with the apprentice's and the reference's readings at the same places.
 *
 * @param step whose measurement it is
 * @param own what the apprentice chose before reading: an option by the id of its choice
 * @param reference what was chosen for the reference
 */
record Places(
        String step,
        String title,
        Sketch sketch,
        Map<String, String> own,
        Map<String, String> reference,
        List<PlaceValues> values) {

    /**
     * Means of the repeats; empty where nothing was written.
     *
     * @param name of the place, short
     * @param slipped what stands here by the slip that was made; empty where none touches this place
     */
    record PlaceValues(Sketch.SketchPlace place, String name, String own, String reference, String slipped) {}

    /** Returns whether a slip shows in what was read. */
    public boolean slipped() {
        return values.stream().anyMatch(v -> !v.slipped().isEmpty());
    }

    /** The sketch as it is printed. */
    public Drawing onPaper() {
        return OnPaper.of(
                sketch,
                own,
                values.stream()
                        .map(v -> new OnPaper.PlacedReading(
                                v.place(),
                                v.place().number() + " " + v.name(),
                                dash(v.own()),
                                dash(v.reference()),
                                v.slipped()))
                        .toList());
    }

    private static String dash(String read) {
        return read.isEmpty() ? "–" : read;
    }
}
