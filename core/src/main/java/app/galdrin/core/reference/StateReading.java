package app.galdrin.core.reference;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.task.Measure;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Readings of one state of a vehicle by one person or pair, on one setting-up of the instruments.
 *
 * @param id of the sheet they stand on
 * @param state id of the state
 * @param isInstructor whether an instructor read
 * @param people ids of those who read
 * @param figures rad or mm; their own doubts have names of their own
 */
public record StateReading(
        String id, String state, boolean isInstructor, Set<String> people, Map<ReadFigure, Estimate> figures) {

    public StateReading {
        people = Set.copyOf(people);
        figures = Map.copyOf(figures);
    }

    /**
     * Returns what a sheet reads of a state.
     *
     * @param read the figures that its readings come to
     * @param round the round whose lines hold the readings; 0 as found
     * @param measures the measuring steps of that round
     */
    public static StateReading of(
            String id,
            String state,
            boolean isInstructor,
            Set<String> people,
            OwnFigures read,
            int round,
            Collection<Measure> measures) {
        Map<ReadFigure, Estimate> figures = new LinkedHashMap<>();
        for (Measure measure : measures) {
            for (FigureId figure : measure.procedure().sees()) {
                if (measure.steering().leaves(figure)) {
                    read.mean(measure, round, figure)
                            .ifPresent(mean -> figures.putIfAbsent(ReadFigure.of(measure, figure), mean.readBy(id)));
                }
            }
        }
        return new StateReading(id, state, isInstructor, people, figures);
    }

    /** Returns what was read of a figure, rad or mm; empty where it was not. */
    Optional<Estimate> find(ReadFigure figure) {
        return Optional.ofNullable(figures.get(figure));
    }
}
