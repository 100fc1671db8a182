package app.galdrin.core.proof;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.ReadingEvidence;
import app.galdrin.core.task.Aspect;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * Classes of twelve on four vehicles, marked twice: by everybody's readings together, and by an instructor who reads every figure. The same seed gives
 * the same counts.
 */
public final class ReferenceProof {

    private static final int VEHICLES = 4;

    private ReferenceProof() {}

    /** Counts of a run. */
    public enum Count {
        /** Figures that the instructor reads, of those he reads where he reads all. */
        READ,
        /** Verdicts on a vehicle as left that are wrong, of all: by everybody's readings, and by the instructor's. */
        AS_LEFT_WRONG,
        AS_LEFT_WRONG_BY_INSTRUCTOR,
        /** Verdicts that everybody's readings get wrong and the instructor's do not, of all; those that fail an apprentice for nothing. */
        AS_LEFT_WORSE,
        AS_LEFT_FAILED_WRONGLY,
        AS_LEFT_FAILED_WRONGLY_BY_INSTRUCTOR,
        /** Verdicts that still wait for a reading of a state that is gone. */
        AS_LEFT_WAITS,
        /** Figures of honest readings that lose marks. */
        HONEST_LOSE,
        HONEST_LOSE_BY_INSTRUCTOR,
        /** Figures of readings written wrongly that lose marks; not all of them are moved by it. */
        SLIPS_LOSE,
        SLIPS_LOSE_BY_INSTRUCTOR
    }

    /** Returns how many of so many came out, by what is counted, over so many classes. */
    public static Map<Count, Tally.Share> classes(int classes, boolean isGaugeBent, long seed) {
        return IntStream.range(0, classes * VEHICLES)
                .parallel()
                .mapToObj(i -> counted(new ReferenceDay(
                        new SplittableRandom(seed + 0x9E3779B97F4A7C15L * (i + 1)), isGaugeBent && i % VEHICLES == 0)))
                .reduce(new LinkedHashMap<>(), ReferenceProof::sum);
    }

    private static Map<Count, Tally.Share> sum(Map<Count, Tally.Share> one, Map<Count, Tally.Share> other) {
        Map<Count, Tally.Share> sum = new LinkedHashMap<>(one);
        other.forEach((count, share) -> sum.merge(count, share, Tally.Share::plus));
        return sum;
    }

    private static Map<Count, Tally.Share> counted(ReferenceDay day) {
        Map<Count, Tally.Share> counts = new LinkedHashMap<>();
        int all = 0;
        for (ReferenceDay.ApprenticeSheet one : day.sat()) {
            MarkSheet together = day.mark(one);
            ReferenceDay.FullyRead full = day.markByInstructor(one);
            MarkSheet byInstructor = full.marks();
            all += full.read();
            asLeft(day, one, together, byInstructor, counts);
            readings(one, together, counts, Count.HONEST_LOSE, Count.SLIPS_LOSE);
            readings(one, byInstructor, counts, Count.HONEST_LOSE_BY_INSTRUCTOR, Count.SLIPS_LOSE_BY_INSTRUCTOR);
        }
        counts.put(Count.READ, new Tally.Share(all, day.read(), 0));
        return counts;
    }

    private static void count(Map<Count, Tally.Share> counts, Count count, boolean came) {
        counts.merge(count, new Tally.Share(1, came ? 1 : 0, 0), Tally.Share::plus);
    }

    private static void asLeft(
            ReferenceDay day,
            ReferenceDay.ApprenticeSheet one,
            MarkSheet together,
            MarkSheet byInstructor,
            Map<Count, Tally.Share> counts) {
        Map<FigureId, Boolean> mine = accepted(together);
        Map<FigureId, Boolean> theirs = accepted(byInstructor);
        for (FigureId figure : ReferenceDay.TASK.practical().figures()) {
            day.isInside(one, figure).ifPresent(inside -> {
                Boolean accepted = mine.get(figure);
                boolean byHim = theirs.getOrDefault(figure, false);
                count(counts, Count.AS_LEFT_WAITS, accepted == null);
                boolean wrong = accepted != null && !accepted.equals(inside);
                count(counts, Count.AS_LEFT_WRONG, wrong);
                count(counts, Count.AS_LEFT_WRONG_BY_INSTRUCTOR, byHim != inside);
                count(counts, Count.AS_LEFT_WORSE, wrong && byHim == inside);
                count(counts, Count.AS_LEFT_FAILED_WRONGLY, wrong && inside);
                count(counts, Count.AS_LEFT_FAILED_WRONGLY_BY_INSTRUCTOR, inside && !byHim);
            });
        }
    }

    private static Map<FigureId, Boolean> accepted(MarkSheet marks) {
        Map<FigureId, Boolean> accepted = new HashMap<>();
        marks.lines().stream().flatMap(line -> line.evidence().stream()).forEach(e -> {
            if (e instanceof Evidence.AsLeft left) {
                accepted.put(left.figure(), left.accepted());
            }
        });
        return accepted;
    }

    private static void readings(
            ReferenceDay.ApprenticeSheet one,
            MarkSheet marks,
            Map<Count, Tally.Share> counts,
            Count honest,
            Count slipped) {
        marks.lines().stream()
                .filter(line -> line.criterion().aspect() == Aspect.READING)
                .forEach(line -> {
                    boolean isBent =
                            one.gaugeIsBent() && line.criterion().step().startsWith("camber");
                    boolean isWrong =
                            isBent || one.slipped().contains(line.criterion().step());
                    List<ReadingEvidence> figures = line.evidence().stream()
                            .filter(ReadingEvidence.class::isInstance)
                            .map(ReadingEvidence.class::cast)
                            .toList();
                    figures.forEach(e -> count(counts, isWrong ? slipped : honest, e.credit() < 1));
                });
    }
}
