package app.galdrin.core.condition;

import app.galdrin.core.geometry.Axle;
import java.util.OptionalDouble;

/** Step that knows the condition of the vehicle as the instructor prepared it. */
interface TrainingVehicle {

    /** Returns whether a joint, by its key, has play. */
    boolean hasPlay(String joint);

    /** Returns the pressure of the plate for an axle, kPa; empty where the task does not say. */
    OptionalDouble plate(Axle axle);
}
