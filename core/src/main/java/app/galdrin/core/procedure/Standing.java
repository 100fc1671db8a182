package app.galdrin.core.procedure;

import app.galdrin.core.spec.SpecificationSheet;

/** What readings are taken on: a vehicle with its sheet, in a bay with its floor. */
public record Standing(SpecificationSheet sheet, BayFloor floor) {}
