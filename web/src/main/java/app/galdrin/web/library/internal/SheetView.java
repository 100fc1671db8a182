package app.galdrin.web.library.internal;

import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.sketch.DoubtRule;
import app.galdrin.web.sketch.Drawing;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One vehicle with one version of its sheet, to be read.
 *
 * @param versions all of them, the newest first
 * @param against the version it is compared with; null where there is no other
 * @param lines as on a sheet, by axle
 * @param geometry dimensions by the letters on the drawing
 * @param ruledOut ways of measuring that lack a figure which the sheet does not give
 */
public record SheetView(
        SheetVersion sheet,
        List<SheetVersion> versions,
        @Nullable SheetVersion against,
        List<Line> lines,
        List<Dimension> geometry,
        Drawing lying,
        Drawing upright,
        List<Part> parts,
        List<Torque> torques,
        List<SheetChange> changes,
        List<String> ruledOut) {

    /**
     * A figure of the sheet.
     *
     * @param printed as the maker prints it; empty where it says no more than the limits
     * @param rule its limits drawn; null where it has none
     * @param adjustable whether and by what, said
     */
    public record Line(
            String name,
            String limits,
            String printed,
            String difference,
            @Nullable DoubtRule rule,
            String adjustable) {}

    /** A dimension and the letter at which the drawing shows it; empty for what is not drawn. */
    public record Dimension(String letter, String name, String value) {}

    /** A part that moves figures: what one unit does, and in order what to slacken, tighten and read again. */
    public record Part(String name, String unit, List<String> effects, List<String> steps) {}

    /** Fastener and its torque. */
    public record Torque(String name, String thread, String torque, String note) {}

    /** Difference from the other version, in words. */
    public record SheetChange(String name, String before, String now) {}
}
