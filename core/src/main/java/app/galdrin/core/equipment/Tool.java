package app.galdrin.core.equipment;

import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.DoubtSource.Origin;
import java.util.Optional;

/**
 * One piece of equipment as it was known on a day.
 *
 * @param id no other piece's; names it as a source of doubt that all share who read with it
 * @param kind whose scale and lengths it has
 * @param resolution smallest step of its scale, mm or rad, 0 or more; 0 where it is not read
 * @param offset what it shows too much, mm or rad, with the sign of the reading; of a pair, what the rear one is larger, mm
 * @param standardUncertainty of that, mm or rad, 0 or more
 * @param length as it was measured; empty where it is as usual, or has none that matters
 */
public record Tool(
        String id,
        EquipmentKind kind,
        double resolution,
        double offset,
        double standardUncertainty,
        Optional<CertifiedLength> length) {

    public Tool {
        if (!(resolution >= 0) || !(standardUncertainty >= 0) || Double.isNaN(offset)) {
            throw new IllegalArgumentException("resolution (" + resolution + ") and uncertainty (" + standardUncertainty
                    + ") must be 0 or more, and the offset (" + offset + ") a number");
        }
    }

    /** Returns a piece that is as usual for its kind, of which nothing was measured. */
    public static Tool usual(String id, EquipmentKind kind) {
        return new Tool(
                id,
                kind,
                kind.reads().map(instrument -> instrument.resolution()).orElse(0.0),
                0,
                0,
                Optional.empty());
    }

    /** Returns what is in doubt about what it shows, the same for all readings with it. */
    DoubtSource source() {
        return DoubtSource.shared(Origin.TOOL, "tool." + id);
    }

    /** Returns what is in doubt about its length. */
    DoubtSource lengthSource() {
        return DoubtSource.shared(Origin.TOOL, "tool." + id + ".length");
    }
}
