package app.galdrin.web.library;

import app.galdrin.core.spec.SpecificationSheet;

/** A vehicle to be added with the first version of its sheet. */
public record NewVehicle(
        String make, String model, String body, String registration, String drivenAxle, SpecificationSheet sheet) {}
