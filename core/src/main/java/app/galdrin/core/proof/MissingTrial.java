package app.galdrin.core.proof;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.ReadingEvidence;
import app.galdrin.core.marking.WorkingEvidence;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Measure;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;

/** Trial of the marks lost where an entry is missing. */
record MissingTrial(Trial trial) {

    /** One entry struck: a reading of a repeat, or a worked figure. */
    void strikeOne(SimulatedSitting sat) {
        Measure measure = trial.measure();
        Map<String, MarkLine> before = byCriterion(sat.mark());
        List<LineKey> lines = sat.lines().stream()
                .filter(line -> line.step().equals(measure.id()) && line.repeat() > 0
                        || line.step().equals(trial.subject().work().id()))
                .toList();
        LineKey struck = trial.one(lines);
        sat.trying(() -> {
            sat.strike(struck);
            boolean reading = struck.step().equals(measure.id());
            Set<FigureId> touched = measure.figures().stream()
                    .filter(f -> reading
                            ? measure.procedure().reads(f, struck.line())
                            : f.key().equals(struck.line()))
                    .collect(Collectors.toSet());
            boolean itself = true;
            for (MarkLine line : sat.mark().lines()) {
                boolean own = reading
                        ? line.criterion().step().equals(measure.id())
                        : line.criterion().aspect() == Aspect.WORKING;
                MarkLine was =
                        Objects.requireNonNull(before.get(line.criterion().key()));
                itself &=
                        own ? !losesElsewhere(was, line, touched) : line.marks().compareTo(was.marks()) >= 0;
            }
            trial.tally().count(ProofMeasure.MISSING_COSTS_ITSELF, reading ? "reading" : "working", itself);
        });
    }

    private static Map<String, MarkLine> byCriterion(MarkSheet marks) {
        return marks.lines().stream()
                .collect(Collectors.toMap(line -> line.criterion().key(), line -> line));
    }

    /** Returns whether a figure that does not need what is missing has less than before. */
    private static boolean losesElsewhere(MarkLine was, MarkLine is, Set<FigureId> touched) {
        Map<FigureId, Double> credits = credits(is);
        return credits(was).entrySet().stream()
                .anyMatch(e -> !touched.contains(e.getKey()) && credits.getOrDefault(e.getKey(), 0.0) < e.getValue());
    }

    private static Map<FigureId, Double> credits(MarkLine line) {
        Map<FigureId, Double> credits = new HashMap<>();
        for (Evidence e : line.evidence()) {
            if (e instanceof ReadingEvidence r) {
                credits.put(r.figure(), r.credit());
            } else if (e instanceof Evidence.Repeats r) {
                credits.put(r.figure(), r.credit());
            } else if (e instanceof WorkingEvidence w) {
                credits.put(w.figure(), w.credit());
            }
        }
        return credits;
    }
}
