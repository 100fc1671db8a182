package app.galdrin.core.proof;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.slip.Slip;
import app.galdrin.core.procedure.slip.Slips;
import app.galdrin.core.task.Measure;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Collectors;

/** One subject that something is tried on, by chance, and where it is counted. */
record Trial(Subject subject, SplittableRandom random, Tally tally) {

    Measure measure() {
        return subject.measure();
    }

    /** Returns what it is counted under. */
    String name() {
        return subject.name();
    }

    <T> T one(List<T> all) {
        return all.get(random.nextInt(all.size()));
    }

    /** Slips that can be made in it, by key. */
    Set<String> listed() {
        return Slips.of(measure().procedure()).stream().map(Slip::key).collect(Collectors.toSet());
    }

    List<Place> places() {
        return measure().procedure().places(measure().figures());
    }

    /** Returns what a worked figure is asked to, in its unit. */
    double step(FigureId figure) {
        return subject.work().item(figure).orElseThrow().unit().step();
    }
}
