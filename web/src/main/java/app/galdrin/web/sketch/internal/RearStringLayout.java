package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Layout;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Set;

/** A string along the outer face of each rear tyre and on past the front wheel, which is drawn in from it. */
@AutoService(Layout.class)
public final class RearStringLayout implements Layout {

    /** Drawn distance of a string from the front tyre's outer face. */
    private static final double GAP = 34;

    @Override
    public Set<String> procedures() {
        return Set.of("rearString");
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        var gaps = new SideGaps(sheet.geometry(), asked, upright, 0, false);
        double string = gaps.rearTrack() + gaps.halfWidth();
        for (Wheel wheel : Wheel.values()) {
            double middle = wheel.front() ? gaps.rearTrack() - GAP : gaps.rearTrack();
            gaps.wheel(wheel, middle);
            if (wheel.front() && gaps.asks(wheel)) {
                gaps.line(wheel, string);
                gaps.gaps(wheel, middle + gaps.halfWidth() * 0.4, string, string);
                gaps.fields(wheel, string);
            }
        }
        gaps.sign("sketch.rearString.sign", 22);
        gaps.name(Wheel.FRONT_LEFT, string, "sketch.rearString.left");
        gaps.name(Wheel.FRONT_RIGHT, string, "sketch.rearString.right");
        return gaps.drawing();
    }
}
