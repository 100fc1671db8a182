package app.galdrin.core.sitting;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Place;
import java.util.List;
import java.util.Optional;

/**
 * Readings that are each possible and can't well be together.
 *
 * @param figure that no longer follows from them; empty where it does, and they are only too much alike
 * @param places what to read again
 */
public record ReadingQuery(int repeat, Optional<FigureId> figure, List<Place> places) {
    public ReadingQuery {
        places = List.copyOf(places);
    }
}
