package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.PlaceId;
import java.util.Set;

/**
 * A slip that explains the differences.
 *
 * @param figures that it moves
 * @param places that it was made at; empty where it is made everywhere
 * @param possible whether a place misread or a wheel that is off explains them as well
 */
record SlipExplanation(String slip, Set<FigureId> figures, Set<PlaceId> places, boolean possible) {}
