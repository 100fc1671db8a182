package app.galdrin.core.simulated;

import app.galdrin.core.Keyed;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.References;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Criterion;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;

/** A task done by three simulated people many times over, before a class has it: does its scheme tell them apart, and is it fair to care? */
public final class TryOut {

    /** Distance of vehicles as found and as left, in half tolerances. */
    private static final double FOUND = 2;

    private static final double LEFT_BY_CARE = 0.3;
    private static final double LEFT_CARELESSLY = 1.1;

    /**
     * Three people. Chances are of one sheet, 0 to 1.
     */
    public enum Kind implements Keyed {
        CAREFUL("careful", 0.8, 0, 0),
        ORDINARY("ordinary", 1, 0.15, 0.05),
        SLIP_PRONE("slipProne", 1.4, 0.5, 0.25);

        private final String key;
        private final double clumsiness;

        /** The probability of a slip at each opportunity, and of leaving out an item of a list. */
        private final double slips;

        private final double leavesOut;

        Kind(String key, double clumsiness, double slips, double leavesOut) {
            this.key = key;
            this.clumsiness = clumsiness;
            this.slips = slips;
            this.leavesOut = leavesOut;
        }

        @Override
        public String key() {
            return key;
        }
    }

    /**
     * Result of one person's sheets.
     *
     * @param percents of the marks, 0 to 100, one a sheet
     * @param competent how many sheets were
     * @param losing by criterion, on how many sheets marks were lost
     */
    public record PersonResult(List<Double> percents, int competent, Map<Criterion.Id, Integer> losing) {
        /** Mean percent of the marks, 0 to 100. */
        public double mean() {
            return percents.stream().mapToDouble(p -> p).average().orElse(0);
        }

        /** Share of the sheets on which marks were lost on a criterion, 0 to 1. */
        public double losing(Criterion.Id criterion) {
            return percents.isEmpty() ? 0 : (double) losing.getOrDefault(criterion, 0) / percents.size();
        }
    }

    private TryOut() {}

    /** Each of the three so many times; the same seed does the same. */
    public static Map<Kind, PersonResult> of(Assignment assignment, int sheets, long seed) {
        var run = new Run(assignment, sheets, seed);
        while (run.done() < run.total()) {
            run.goOn(sheets);
        }
        return run.tried();
    }

    /** A try-out that is gone on with bit by bit, for those who wait for it. */
    public static final class Run {
        private final Assignment assignment;
        private final int sheets;
        private final long seed;
        private final Map<Kind, Tally> tallies = new EnumMap<>(Kind.class);

        /** {@code sheets} of each of the three; the same seed does the same, in whatever portions. */
        public Run(Assignment assignment, int sheets, long seed) {
            this.assignment = assignment;
            this.sheets = sheets;
            this.seed = seed;
            for (Kind kind : Kind.values()) {
                tallies.put(kind, new Tally());
            }
        }

        /** Sheets of all three so far. */
        public int done() {
            return tallies.values().stream().mapToInt(t -> t.percents.size()).sum();
        }

        /** Returns how many sheets of all three there will be. */
        public int total() {
            return sheets * Kind.values().length;
        }

        /** Some more sheets of each, until there are enough. */
        public void goOn(int more) {
            tallies.forEach((kind, tally) -> {
                int from = tally.percents.size();
                IntStream.range(from, Math.min(sheets, from + more))
                        .mapToObj(i -> sheet(assignment, kind, new SplittableRandom(seed + 31L * i + kind.ordinal())))
                        .toList()
                        .forEach(tally::add);
            });
        }

        /** Returns what came of it so far. */
        public Map<Kind, PersonResult> tried() {
            Map<Kind, PersonResult> tried = new EnumMap<>(Kind.class);
            tallies.forEach((kind, tally) -> tried.put(kind, tally.tried()));
            return tried;
        }
    }

    /** Summary kept of somebody's sheets: a thousand of them whole would fill a server's memory. */
    private static final class Tally {
        private final List<Double> percents = new ArrayList<>();
        private final Map<Criterion.Id, Integer> losing = new LinkedHashMap<>();
        private int competent;

        void add(MarkSheet sheet) {
            percents.add(sheet.percent().doubleValue());
            competent += sheet.competent() ? 1 : 0;
            for (MarkLine line : sheet.lines()) {
                losing.merge(line.criterion(), line.credit() < 1 ? 1 : 0, Integer::sum);
            }
        }

        PersonResult tried() {
            return new PersonResult(List.copyOf(percents), competent, new LinkedHashMap<>(losing));
        }
    }

    private static MarkSheet sheet(Assignment assignment, Kind kind, RandomGenerator random) {
        Sitting sitting = sitting(assignment, kind, found(assignment, random), random);
        return Marker.mark(assignment, sitting.wrote(), sitting.references());
    }

    /** A vehicle as it is found, and what the instructor read of it. */
    public record FoundVehicle(Truth truth, Answers reference) {}

    /** Entries of one of the three, and the instructor's readings of the vehicle. */
    public record Sitting(Answers wrote, References references) {}

    /** A vehicle that some find as it is. */
    public static FoundVehicle found(Assignment assignment, RandomGenerator random) {
        Truth truth = FoundState.about(assignment.sheet(), FOUND, random);
        return new FoundVehicle(truth, reference(assignment, truth, 0, random));
    }

    /** One sheet by one of the three, who leaves the vehicle in some other state. */
    public static Sitting sitting(Assignment assignment, Kind kind, FoundVehicle found, RandomGenerator random) {
        boolean slack = random.nextDouble() < kind.slips;
        Truth left = FoundState.about(assignment.sheet(), slack ? LEFT_CARELESSLY : LEFT_BY_CARE, random);
        var paper = new Paper(new Sheet(assignment));
        var apprentice = new Apprentice(assignment, paper, () -> new HonestHands(kind.clumsiness, random));
        StepWriters.writeAll(apprentice, habit(assignment, kind, random), found.truth(), left);
        Answers asLeft = reference(assignment, left, 1, random);
        Answers again = reference(assignment, left, 1, random);
        return new Sitting(paper.answers(), new References(found.reference(), asLeft, again).toStand());
    }

    /** The instructor's readings, by hands like anybody's. */
    static Answers reference(Assignment assignment, Truth truth, int round, RandomGenerator random) {
        var paper = new Paper(new Sheet(assignment));
        var hands = new Apprentice(assignment, paper, () -> new HonestHands(1, random));
        assignment.practical().measures(round).forEach(m -> hands.read(m, round, truth, m.repeats()));
        return paper.answers();
    }

    private static Habit habit(Assignment assignment, Kind kind, RandomGenerator random) {
        var draw = new HabitDraw(kind.slips, kind.leavesOut, random);
        assignment.practical().steps().forEach(step -> StepWriters.of(step).draw(step, draw));
        return draw.habit();
    }

    /** The chance that one of the first has more marks than one of the others, 0 to 1; half of it where they are alike. */
    public static double above(PersonResult first, PersonResult other) {
        double wins = 0;
        for (double a : first.percents()) {
            for (double b : other.percents()) {
                wins += a > b ? 1 : a == b ? 0.5 : 0;
            }
        }
        return wins / Math.max(1, first.percents().size() * other.percents().size());
    }

    /**
     * Criteria on which care itself loses marks more often than one sheet in so many, worst first.
     *
     * @param often share of sheets, 0 to 1
     */
    public static List<Criterion.Id> unfairToCare(PersonResult careful, double often) {
        return careful.losing().keySet().stream()
                .filter(id -> id.aspect() == Aspect.READING || id.aspect() == Aspect.REPEATABILITY)
                .filter(id -> careful.losing(id) > often)
                .sorted((a, b) -> Double.compare(careful.losing(b), careful.losing(a)))
                .toList();
    }
}
