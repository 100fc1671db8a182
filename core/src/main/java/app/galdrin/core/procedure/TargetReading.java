package app.galdrin.core.procedure;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.answer.Sense;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand.Form;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.quantity.Quantity;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Reading that tape, rule or gauge must show for a figure to be as it is wanted.
 *
 * @param place where it is read; of two places that are compared the front or the top one
 * @param against the other one of the two
 * @param value mm or deg: what must be read, with its sign; of two places the first less the other
 */
public record TargetReading(Place place, Optional<Place> against, double value) {

    /** No two readings of a wheel or an axle differ by more, mm. */
    private static final double MOST_DIFFERENCE = 200;

    private static final List<Sense> ALONG = List.of(Sense.FRONT_MORE, Sense.REAR_MORE);
    private static final List<Sense> UPRIGHT = List.of(Sense.TOP_MORE, Sense.BOTTOM_MORE);

    /** Returns how it is written down: a reading as at its place, a difference as its size and which of the two is the larger. */
    public AnswerType answer() {
        if (against.isEmpty()) {
            return place.answer();
        }
        var size = new Amount(Quantity.LENGTH, place.amount().defaultUnit(), 0, MOST_DIFFERENCE);
        boolean upright = place.end().equals(Optional.of(End.TOP));
        Side side = place.wheel().map(Wheel::side).orElse(Side.LEFT);
        return new SizeAndSense(size, upright ? UPRIGHT : ALONG, side);
    }

    /** A change of a figure that any instrument of the trade would show, rad or mm. */
    private static final double PROBE = 0.01;

    /** A reading that moves less than this did not move, mm or deg. */
    private static final double STILL = 1e-6;

    /**
     * Works by the forward model from where the instruments stand: what was read, moved by what the change of the figures moves a reading. So
     * the skew of a string that was laid by eye is in it.
     *
     * @param readings of the state the figures are of, mm or deg by place
     * @param figures what the readings came to, rad or mm
     * @param wanted rad or mm; figures that are differences of both wheels tell no reading and are passed over
     * @return in walking order, without the places that none of these figures moves
     */
    public static List<TargetReading> of(
            Procedure procedure,
            MeasuringContext standing,
            Map<String, Double> readings,
            Map<FigureId, Double> figures,
            Map<FigureId, Double> wanted) {
        Truth now = Truth.describedBy(figures);
        Truth then = with(now, wanted, 0);
        Map<String, Double> before = procedure.readings(now, standing);
        Map<String, Double> after = procedure.readings(then, standing);
        Map<String, Double> probed = procedure.readings(with(then, wanted, PROBE), standing);
        Map<String, Double> target = new HashMap<>();
        readings.forEach((id, read) -> {
            if (Math.abs(at(probed, id) - at(after, id)) > STILL) {
                target.put(id, read + at(after, id) - at(before, id));
            }
        });
        return inOrder(procedure, target);
    }

    private static Truth with(Truth truth, Map<FigureId, Double> wanted, double beyond) {
        Truth changed = truth;
        for (Map.Entry<FigureId, Double> figure : wanted.entrySet()) {
            if (figure.getKey().measurand().form() != Form.DIFFERENCE) {
                changed = changed.with(figure.getKey(), figure.getValue() + beyond);
            }
        }
        return changed;
    }

    private static List<TargetReading> inOrder(Procedure procedure, Map<String, Double> target) {
        List<TargetReading> all = new ArrayList<>();
        for (Place place : procedure.walk()) {
            Optional<Place> other = procedure.otherEnd(place);
            boolean second = other.flatMap(Place::end).filter(End::comesFirst).isPresent();
            boolean there = target.containsKey(place.id())
                    && other.map(o -> target.containsKey(o.id())).orElse(true);
            if (there && !second) {
                double less = other.map(o -> at(target, o.id())).orElse(0.0);
                all.add(new TargetReading(place, other, at(target, place.id()) - less));
            }
        }
        return all;
    }

    private static double at(Map<String, Double> readings, String place) {
        return readings.getOrDefault(place, 0.0);
    }
}
