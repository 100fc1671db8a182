package app.galdrin.web.bay;

import app.galdrin.core.procedure.BayFloor;
import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * The slope of a bay's floor as somebody measured it; what is measured later is another survey beside it.
 *
 * @param along deg, −5 to 5: the far end is higher than the door
 * @param across deg, −5 to 5: the left side is higher, seen from the door
 * @param doubt standard uncertainty of each, deg, 0 or more
 * @param faces which way vehicles stand
 * @param surveyedOn the day on which it was measured
 * @param madeBy who wrote it down; null for one from before that was kept
 */
public record Survey(
        int bay,
        double along,
        double across,
        double doubt,
        Facing faces,
        LocalDate surveyedOn,
        @Nullable String madeBy,
        Instant madeAt) {

    /** Returns the floor in the frame of the vehicle that stands there. */
    public BayFloor floor() {
        return floor(bay, along, across, doubt, faces);
    }

    /** The same of its figures, deg. */
    public static BayFloor floor(int bay, double along, double across, double doubt, Facing faces) {
        // 0 turned round is 0 again, not -0
        return new BayFloor(
                bay,
                0 + Math.toRadians(faces.sign() * along),
                0 + Math.toRadians(faces.sign() * across),
                Math.toRadians(doubt));
    }
}
