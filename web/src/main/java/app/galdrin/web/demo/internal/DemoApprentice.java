package app.galdrin.web.demo.internal;

import app.galdrin.core.marking.VerdictChoice;
import app.galdrin.core.measure.Asked;
import app.galdrin.core.measure.ToeFigures;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.spec.Axle;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.SheetQuantity;
import app.galdrin.core.steering.TrackRod;
import app.galdrin.core.task.ToeTask;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.Slot;
import app.galdrin.web.sitting.Stage;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** An apprentice of the demo doing a whole sheet, with a habit that the marker should recognise. */
final class DemoApprentice {

    enum Habit {
        CAREFUL,
        WRONG_SIGN,
        ONE_WHEEL_FOR_TOTAL,
        MILLIMETRES,
        SIDES_SWAPPED
    }

    private final Sittings sittings;
    private final SignedIn me;
    private final Sitting sitting;
    private final DemoReadings readings;
    private final ToeTask task;

    DemoApprentice(Sittings sittings, SignedIn me, Sitting sitting, long seed) {
        this.sittings = sittings;
        this.me = me;
        this.sitting = sitting;
        this.task = sitting.task().toe();
        this.readings = new DemoReadings(task.sheet().geometry(), seed);
    }

    void doAll(Habit habit, double left, double right) {
        task.checklist().forEach(step -> write(Stage.PREPARE, step.key(), "done"));
        DemoData.writeReadings(sittings, me, sitting, Stage.AS_FOUND, readings, left, right);
        var log = sittings.log(me.centreId(), sitting.id());
        ToeFigures own = ToeFigures.mean(task.work(log.readings(Stage.AS_FOUND, task.repeats())));
        Map<Asked, Double> written = withHabit(own, habit);
        written.forEach((asked, degrees) -> write(Stage.WORK, asked.key(), QuantityFormat.decimal(degrees, 2, true)));
        written.forEach((asked, degrees) -> write(Stage.JUDGE, asked.key(), verdict(asked, degrees, own)));
        write(Stage.JUDGE, "adjustable", "yes");
        planRod("left", written.getOrDefault(Asked.LEFT, 0.0));
        planRod("right", written.getOrDefault(Asked.RIGHT, 0.0));
        DemoData.writeReadings(sittings, me, sitting, Stage.AS_LEFT, readings, -0.05, -0.03);
        write(Stage.HAND_IN, "done", "done");
    }

    /** Prepared, the first repeat read and one figure struck out. */
    void readHalf(double left, double right) {
        task.checklist().forEach(step -> write(Stage.PREPARE, step.key(), "done"));
        Map<String, Double> one = readings.read(task.method(), left, right);
        String misread = "wheels.rl.frontGap";
        write(sittings, me, sitting, Stage.AS_FOUND, misread, 1, "75.5");
        for (var place : task.method().places()) {
            String text = QuantityFormat.length(one.getOrDefault(place.id(), 0.0));
            write(sittings, me, sitting, Stage.AS_FOUND, place.id(), place.eachRepeat() ? 1 : 0, text);
        }
        List<String> begun = List.of("wheels.fl.frontGap", "hubGap.fl");
        Map<String, Double> two = readings.read(task.method(), left, right);
        begun.forEach(place -> write(
                sittings, me, sitting, Stage.AS_FOUND, place, 2, QuantityFormat.length(two.getOrDefault(place, 0.0))));
        write(Stage.FLAG, "needsYou", "raised");
    }

    private static Map<Asked, Double> withHabit(ToeFigures own, Habit habit) {
        double left = Math.toDegrees(own.left().orElseThrow().value());
        double right = Math.toDegrees(own.right().orElseThrow().value());
        double total = Math.toDegrees(own.total().value());
        double mmOfTotal = 2 * 416 * Math.sin(Math.toRadians(total / 2));
        return switch (habit) {
            case CAREFUL -> figures(total, left, right);
            case WRONG_SIGN -> figures(-total, -left, -right);
            case ONE_WHEEL_FOR_TOTAL -> figures(left, left, right);
            case MILLIMETRES -> figures(mmOfTotal, left, right);
            case SIDES_SWAPPED -> figures(total, right, left);
        };
    }

    private static Map<Asked, Double> figures(double total, double left, double right) {
        return new EnumMap<>(Map.of(Asked.TOTAL, total, Asked.LEFT, left, Asked.RIGHT, right));
    }

    private String verdict(Asked asked, double degrees, ToeFigures own) {
        var line = task.sheet()
                .line(Axle.FRONT, asked == Asked.TOTAL ? SheetQuantity.TOTAL_TOE : SheetQuantity.TOE)
                .orElseThrow();
        double u = own.figure(asked).orElseThrow().standardUncertainty();
        var zone = Judgement.of(new Estimate(Math.toRadians(degrees), u), line.limits(), Judgement.K, task.rule())
                .zone();
        if (zone.inDoubt()) {
            return VerdictChoice.TOO_CLOSE.key();
        }
        return VerdictChoice.valueOf(zone.name()).key();
    }

    private void planRod(String rod, double degrees) {
        var limits =
                task.sheet().line(Axle.FRONT, SheetQuantity.TOE).orElseThrow().limits();
        double turns = TrackRod.of(task.sheet().geometry())
                .turns(Math.toRadians(degrees), limits.target().orElseThrow());
        write(Stage.PLAN, rod + ".way", turns > 0 ? "lengthen" : "shorten");
        write(Stage.PLAN, rod + ".turns", QuantityFormat.decimal(Math.rint(Math.abs(turns) * 4) / 4, 2, false));
    }

    private void write(Stage stage, String place, String text) {
        write(sittings, me, sitting, stage, place, 0, text);
    }

    static void write(
            Sittings sittings, SignedIn me, Sitting sitting, Stage stage, String place, int repeat, String text) {
        var line = new Sittings.Line(
                new Slot(stage, place, repeat), text, false, Ids.next().toString(), "demo");
        if (sittings.write(me, sitting, line) instanceof Sittings.Outcome.Refused refused) {
            throw new IllegalStateException("demo entry " + place + " '" + text + "' refused: " + refused.why());
        }
    }
}
