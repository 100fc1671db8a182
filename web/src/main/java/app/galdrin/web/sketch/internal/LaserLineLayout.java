package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.ToeLine.LineSide;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Sketch;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Set;

/** A beam along each side, outboard of the wheels or inboard: both faintly until one is chosen, then that one. */
@AutoService(Layout.class)
public final class LaserLineLayout implements Layout {

    @Override
    public Set<String> procedures() {
        return Set.of("laserLine");
    }

    @Override
    public Drawing draw(SpecificationSheet sheet, List<Place> asked, boolean upright) {
        double room = upright ? 24 : 34;
        var gaps = new FrontGaps(sheet.geometry(), asked, upright, room);
        double middle = gaps.frontTrack();
        double outermost = Math.max(middle, gaps.rearTrack()) + gaps.halfWidth() + room;
        for (Wheel wheel : Wheel.values()) {
            gaps.wheel(wheel, wheel.front() ? middle : gaps.rearTrack());
            if (wheel.front() && gaps.asks(wheel)) {
                gaps.fields(wheel, outermost);
            }
        }
        for (LineSide side : LineSide.values()) {
            boolean outboard = side == LineSide.OUTBOARD;
            double face = middle + (outboard ? 0.4 : -0.4) * gaps.halfWidth();
            double line = outboard ? outermost : innermost(gaps, room);
            gaps.plan().when(Sketch.option("lineSide", side.key()));
            for (Wheel wheel : List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT)) {
                if (gaps.asks(wheel)) {
                    gaps.line(wheel, line);
                    gaps.gaps(wheel, face, line, outermost);
                }
            }
            gaps.name(Wheel.FRONT_LEFT, line, "sketch.beam." + side.key());
            gaps.sign("sketch.laserLine.sign." + side.key(), innermost(gaps, room) + 8);
        }
        return gaps.drawing();
    }

    /** Under the vehicle, clear of the wheels of both axles and of the beam of the other side. */
    private static double innermost(FrontGaps gaps, double room) {
        double inner = Math.min(gaps.frontTrack(), gaps.rearTrack()) - gaps.halfWidth();
        return inner - Math.min(room, inner * 0.6);
    }
}
