package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.ToeLine.LineSide;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Layout;
import app.galdrin.web.sketch.Sketch;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

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
        var gaps = new SideGaps(sheet.geometry(), asked, upright, room, true);
        double outermost = Math.max(gaps.frontTrack(), gaps.rearTrack()) + gaps.halfWidth() + room;
        List<Wheel> read = Stream.of(Wheel.values()).filter(gaps::asks).toList();
        for (Wheel wheel : Wheel.values()) {
            gaps.wheel(wheel, middle(gaps, wheel));
        }
        read.forEach(wheel -> gaps.fields(wheel, outermost));
        for (LineSide side : LineSide.values()) {
            boolean outboard = side == LineSide.OUTBOARD;
            double line = outboard ? outermost : innermost(gaps, room);
            gaps.plan().when(Sketch.option("lineSide", side.key()));
            for (Side beside : Side.values()) {
                read.stream().filter(w -> w.side() == beside).findFirst().ifPresent(wheel -> gaps.line(wheel, line));
            }
            for (Wheel wheel : read) {
                double face = middle(gaps, wheel) + (outboard ? 0.4 : -0.4) * gaps.halfWidth();
                gaps.gaps(wheel, face, line, outermost);
            }
            gaps.name(Wheel.FRONT_LEFT, line, "sketch.beam." + side.key());
            gaps.sign("sketch.laserLine.sign." + side.key(), innermost(gaps, room) + 8);
        }
        return gaps.drawing();
    }

    /** Returns the distance from the centreline to a wheel's middle as drawn. */
    private static double middle(SideGaps gaps, Wheel wheel) {
        return wheel.front() ? gaps.frontTrack() : gaps.rearTrack();
    }

    /** Returns the innermost line under the vehicle, clear of the wheels of both axles and of the beam of the other side. */
    private static double innermost(SideGaps gaps, double room) {
        double inner = Math.min(gaps.frontTrack(), gaps.rearTrack()) - gaps.halfWidth();
        return inner - Math.min(room, inner * 0.6);
    }
}
