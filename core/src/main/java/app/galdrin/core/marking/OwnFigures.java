package app.galdrin.core.marking;

import app.galdrin.core.measure.Asked;
import app.galdrin.core.measure.ToeFigures;
import app.galdrin.core.spec.Axle;
import app.galdrin.core.spec.QuantityLimits;
import app.galdrin.core.spec.SheetQuantity;
import app.galdrin.core.task.ToeTask;
import app.galdrin.core.uncertainty.Estimate;
import java.util.List;
import java.util.Optional;

/** The figures that an apprentice's own entries stand for. */
final class OwnFigures {

    private final ToeTask task;
    private final SittingWork work;
    private final List<ToeFigures> repeats;

    OwnFigures(ToeTask task, SittingWork work) {
        this.task = task;
        this.work = work;
        this.repeats = task.work(work.asFound());
    }

    /** The engine's figures of every complete repeat as found. */
    List<ToeFigures> repeats() {
        return repeats;
    }

    /** What was written as worked, as a toe in rad with the uncertainty of the apprentice's own readings. */
    Optional<Estimate> worked(Asked asked) {
        Written written = work.working().get(asked);
        if (written == null || repeats.isEmpty()) {
            return Optional.empty();
        }
        double toe = task.answerUnit().toToe(written.value(), asked, task.baseline());
        double u = Marker.figure(ToeFigures.mean(repeats), asked).standardUncertainty();
        return Optional.of(new Estimate(toe, u));
    }

    Optional<QuantityLimits> limits(Asked asked) {
        return task.sheet().line(Axle.FRONT, asked == Asked.TOTAL ? SheetQuantity.TOTAL_TOE : SheetQuantity.TOE);
    }
}
