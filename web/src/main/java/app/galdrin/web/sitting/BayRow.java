package app.galdrin.web.sitting;

import app.galdrin.core.procedure.BayFloor;

/** A bay's row, deg. */
record BayRow(int number, double pitch, double roll, double doubt) {
    BayFloor toFloor() {
        return new BayFloor(number, Math.toRadians(pitch), Math.toRadians(roll), Math.toRadians(doubt));
    }
}
