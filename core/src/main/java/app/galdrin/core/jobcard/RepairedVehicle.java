package app.galdrin.core.jobcard;

/** Step that knows the repair which the vehicle comes after. */
interface RepairedVehicle {

    Repair repair();
}
