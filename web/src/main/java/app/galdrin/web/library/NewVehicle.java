package app.galdrin.web.library;

import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.spec.SpecificationSheet;

/** A vehicle to be added with the first version of its sheet. */
public record NewVehicle(
        String make,
        String model,
        String body,
        String registration,
        Axle drivenAxle,
        Side driverSide,
        SpecificationSheet sheet) {}
