package app.galdrin.web.bay;

import java.time.LocalDate;

/**
 * A survey to be written down; its figures as in {@link Survey}.
 *
 * @param doubt standard uncertainty of each slope, deg, 0 or more
 */
public record NewSurvey(int bay, double along, double across, double doubt, Facing faces, LocalDate surveyedOn) {}
