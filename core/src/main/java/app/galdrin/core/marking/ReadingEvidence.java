package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.PlaceId;
import app.galdrin.core.reference.ReferencePart;
import app.galdrin.core.task.Band;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * A figure from the apprentice's own readings against the reference's.
 *
 * @param band that counts: wider than the task's where the reference is poorer than it promised
 * @param promised full marks up to here by the task, rad or mm; 0 on lines from before that was told apart
 * @param taken repeats that tell it, of {@code asked}; what is missing costs its share
 * @param credit share of the marks, 0 to 1
 * @param doubtFrom what most of the doubt comes from, by key, with its share of the variance
 * @param slips that explain it, each a set of one
 * @param possible whether something else explains it as well
 * @param places that the one slip was made at; empty where it was made everywhere
 * @param parts what the reference rests on; empty where it is an instructor's own reading alone
 */
public record ReadingEvidence(
        FigureId figure,
        FigureValue own,
        FigureValue reference,
        Band band,
        double promised,
        int taken,
        int asked,
        double credit,
        Optional<DoubtShare> doubtFrom,
        List<Set<String>> slips,
        boolean possible,
        List<PlaceId> places,
        List<ReferencePart> parts)
        implements Evidence {

    /** {@code places} and {@code parts}: null in what was stored before they were told. */
    public ReadingEvidence {
        places = Objects.requireNonNullElse(places, List.of());
        parts = Objects.requireNonNullElse(parts, List.of());
    }

    /** A band that is wider by less is the same to anyone who reads it. */
    private static final double WORTH_SAYING = 1.02;

    ReadingEvidence with(List<SlipExplanation> found) {
        return new ReadingEvidence(
                figure,
                own,
                reference,
                band,
                promised,
                taken,
                asked,
                credit,
                doubtFrom,
                found.stream().<Set<String>>map(slip -> Set.of(slip.slip())).toList(),
                found.stream().anyMatch(SlipExplanation::possible),
                found.size() == 1 ? found.get(0).places().stream().sorted().toList() : List.of(),
                parts);
    }

    /** Returns whether it lies off the reference by more than full marks allow. */
    public boolean off() {
        return band.credit(difference()) < 1;
    }

    /** Returns whether a poor reference has widened the band by as much as is worth saying. */
    public boolean widened() {
        return promised > 0 && band.full() > WORTH_SAYING * promised;
    }

    /** Own less reference, rad or mm. */
    public double difference() {
        return own.value() - reference.value();
    }
}
