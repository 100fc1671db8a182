package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.reference.ReferenceValue;
import app.galdrin.core.task.Measure;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Optional;

/** Figures of one state of a vehicle that a sitting is marked against. */
interface ReferenceFigures {

    /** Returns whether anything is known of what a measuring step reads, on the lines of a round. */
    boolean isRead(Measure measure, int round);

    /** Returns a figure, rad or mm, with its doubts; empty where it is not known. */
    Optional<Estimate> mean(Measure measure, int round, FigureId figure);

    /** Returns the same from the first time alone that the state was read, rad or mm: the thrust line that wheels are counted from. */
    Optional<Estimate> firstMean(Measure measure, int round, FigureId figure);

    /** Returns whether a figure was read a second time with everything set up again. */
    boolean isReadAgain(Measure measure, int round, FigureId figure);

    /** Returns what a figure rests on; empty where it is an instructor's own reading alone. */
    Optional<ReferenceValue> value(Measure measure, FigureId figure);
}
