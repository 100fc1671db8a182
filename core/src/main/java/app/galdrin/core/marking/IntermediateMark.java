package app.galdrin.core.marking;

import app.galdrin.core.procedure.paper.Intermediate;
import java.util.Optional;

/**
 * An intermediate figure: mm, deg or a number.
 *
 * @param honest what the readings give, or what was written before it, in its own unit
 * @param wrote in its own unit; empty where nothing is written
 * @param tolerance how far it may be off, in its own unit, 0 or more
 * @param credit share of the marks, 0 to 1
 */
public record IntermediateMark(
        Intermediate what, double honest, Optional<Double> wrote, double tolerance, double credit) {}
