package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.reference.ReferencePart;
import app.galdrin.core.sitting.MissingReading;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Direction;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SheetScale;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Judge.Verdict;
import app.galdrin.core.task.Plan.Instead;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Evidence of a mark. Figures are rad or mm unless said; {@code credit} is 0 to 1. */
public sealed interface Evidence
        permits ReadingEvidence,
                WorkingEvidence,
                Evidence.MissingEntry,
                Evidence.Item,
                Evidence.GivenReason,
                Evidence.Answer,
                Evidence.Repeats,
                Evidence.Target,
                Evidence.JudgedFigure,
                Evidence.FigureComparison,
                Evidence.CanBeAdjusted,
                Evidence.Sequence,
                Evidence.Effect,
                Evidence.Move,
                Evidence.NoMove,
                Evidence.TimeTaken,
                Evidence.AsLeft,
                Evidence.NotAdjustable {

    /** Share of what there was to earn, 0 to 1. */
    double credit();

    /** Returns whether it is a smaller matter beside the others of its line: all such together are a tenth of it. */
    default boolean minor() {
        return false;
    }

    /** Returns the slips that explain it, each a set of those it takes; empty where none does. */
    default List<Set<String>> slips() {
        return List.of();
    }

    /** Returns whether something else explains it as well as its slips. */
    default boolean possible() {
        return false;
    }

    /** Returns whether it says only that something was not written, which practice mode need not say at once. */
    default boolean isUnwritten() {
        return false;
    }

    /** Returns whether its line is not met, whatever else there is. */
    default boolean bars() {
        return false;
    }

    /**
     * A needed entry is missing.
     *
     * @param subject key of the figure, adjustment or part it is missing for; empty where it is missing altogether
     * @param readings the places that were not read, where it is readings that are missing
     */
    record MissingEntry(Lack what, String subject, List<MissingReading> readings) implements Evidence {

        /** {@code readings}: null in what was stored before they were named. */
        public MissingEntry(Lack what, String subject, @Nullable List<MissingReading> readings) {
            this.what = what;
            this.subject = subject;
            this.readings = readings == null ? List.of() : List.copyOf(readings);
        }

        public MissingEntry(Lack what, String subject) {
            this(what, subject, List.of());
        }

        @Override
        public double credit() {
            return 0;
        }

        @Override
        public boolean isUnwritten() {
            return true;
        }

        @Override
        public boolean minor() {
            return what == Lack.ADJUSTABLE;
        }
    }

    /**
     * A line of a checklist.
     *
     * @param before what should have been done before it and was done after it, where the order matters
     */
    record Item(String item, boolean done, Optional<String> before) implements Evidence {
        Item(String item, boolean done) {
            this(item, done, Optional.empty());
        }

        @Override
        public double credit() {
            return done && before.isEmpty() ? 1 : 0;
        }

        @Override
        public boolean isUnwritten() {
            return !done;
        }
    }

    /**
     * Reason given for a line of a checklist; every reason counts alike.
     *
     * @param answer as written
     */
    record GivenReason(String item, Optional<String> answer, List<MatchedReason> reasons) implements Evidence {
        @Override
        public double credit() {
            return reasons.stream().filter(MatchedReason::found).count() / (double) reasons.size();
        }

        @Override
        public boolean isUnwritten() {
            return answer.isEmpty();
        }
    }

    /**
     * Answer beside the one that is right.
     *
     * @param asked key of what was asked, or its own words
     * @param family in which answers that are chosen have their words; empty where they stand as written
     * @param written as it stands on the sheet; empty where nothing does
     * @param right as it would stand there
     * @param remark key of what else there is to say of it; empty where nothing is
     * @param credit share of the marks, 0 to 1
     */
    record Answer(String asked, String family, Optional<String> written, String right, String remark, double credit)
            implements Evidence {

        /** One that is right where it is among what is right, of which the first is said. */
        public static Answer chosen(String asked, String family, Optional<String> written, List<String> right) {
            boolean isRight = written.filter(right::contains).isPresent();
            return new Answer(asked, family, written, isRight ? written.get() : right.get(0), "", isRight ? 1 : 0);
        }

        /** Returns the same with what else there is to say where it is answered and not right. */
        public Answer remarking(String key) {
            return credit == 1 || written.isEmpty() ? this : new Answer(asked, family, written, right, key, credit);
        }

        @Override
        public boolean isUnwritten() {
            return written.isEmpty();
        }
    }

    /**
     * The apprentice's own repeats of a figure, rad or mm; the range is highest less lowest.
     *
     * @param each rad or mm, an element a repeat
     * @param range rad or mm, 0 or more
     * @param credit share of the marks, 0 to 1
     */
    record Repeats(FigureId figure, List<Double> each, double range, Band band, double credit) implements Evidence {}

    /**
     * A target reading against the one that follows from where the apprentice's instruments stand, mm or deg.
     *
     * @param from id of the measure
     * @param procedure key of its procedure, which has the places
     * @param place of two that are compared the first
     * @param against the other place, if two are compared
     * @param honest mm or deg, as it is read
     * @param written mm or deg, as it is read
     * @param tolerance how far it may be off: a step of the instrument, mm or deg
     */
    record Target(
            String from,
            String procedure,
            String place,
            Optional<String> against,
            double honest,
            double written,
            double tolerance)
            implements Evidence {
        @Override
        public double credit() {
            return Math.abs(written - honest) <= tolerance ? 1 : 0;
        }
    }

    /**
     * A verdict against the one that follows from the apprentice's own figure.
     *
     * @param shown the figure as the sheet shows it, which is what was judged; empty on lines from before that was so
     * @param right every verdict that counts as right
     * @param slips in reading the limits, each of which gives everything that was said of them
     * @param possible whether it is the only verdict that is wrong, so that it may be chance
     * @param line what the wheel was judged against, where that is the thrust line
     */
    record JudgedFigure(
            FigureId figure,
            FigureValue own,
            Limits limits,
            DecisionRule rule,
            Zone zone,
            Optional<SheetScale.DisplayedFigure> shown,
            Verdict said,
            Set<Verdict> right,
            List<Set<String>> slips,
            boolean possible,
            Optional<ThrustLine> line)
            implements Evidence {
        JudgedFigure with(List<Set<String>> found, boolean mayBeChance) {
            return new JudgedFigure(figure, own, limits, rule, zone, shown, said, right, found, mayBeChance, line);
        }

        @Override
        public double credit() {
            return right.contains(said) ? 1 : 0;
        }

        /** A vehicle that is certainly outside was called inside. */
        @Override
        public boolean bars() {
            return said == Verdict.INSIDE && zone == Zone.OUTSIDE;
        }
    }

    /**
     * Returns whether two procedures agree on a figure.
     *
     * @param first key of a procedure; {@code second} likewise
     * @param difference of what they came to, rad or mm
     * @param expanded uncertainty of the difference, rad or mm
     */
    record FigureComparison(
            FigureId figure,
            String first,
            String second,
            double difference,
            double expanded,
            Judge.Agreement said,
            Judge.Agreement right)
            implements Evidence {
        @Override
        public double credit() {
            return said == right ? 1 : 0;
        }
    }

    /** Returns whether figures can be adjusted on this vehicle, by key of the adjustment. */
    record CanBeAdjusted(String adjustment, Adjustable said, Adjustable actual) implements Evidence {
        @Override
        public double credit() {
            return said == actual ? 1 : 0;
        }

        @Override
        public boolean minor() {
            return true;
        }
    }

    /**
     * The order in which parts were moved.
     *
     * @param round in which it was lost; how many there were where it was kept
     * @param moved the part that was moved too early; empty where something was not read again, and where the order was kept
     * @param untouched key of the figure that comes first, or was not read again; empty where the order was kept
     */
    record Sequence(int round, String moved, String untouched) implements Evidence {
        static Sequence kept(int rounds) {
            return new Sequence(rounds, "", "");
        }

        @Override
        public double credit() {
            return untouched.isEmpty() ? 1 : 0;
        }
    }

    /**
     * The value at which a plan would leave a figure, from the apprentice's own readings.
     *
     * @param zone where the apprentice's own figure lies
     * @param after what the moves make of it, rad or mm
     * @param moves of every part that moves it
     * @param splitAssumed whether only a total is known, so that an equal split was assumed
     * @param credit share of the marks, 0 to 1
     * @param slips any of which, undone, would have made it right
     * @param line what the wheel is counted from, where that is the thrust line
     */
    record Effect(
            FigureId figure,
            FigureValue own,
            Zone zone,
            double after,
            Limits limits,
            List<PlannedMove> moves,
            boolean splitAssumed,
            double credit,
            List<Set<String>> slips,
            Optional<ThrustLine> line)
            implements Evidence {
        Effect without(String slip) {
            return new Effect(
                    figure,
                    own,
                    zone,
                    after,
                    limits,
                    moves,
                    splitAssumed,
                    credit,
                    slips.stream().filter(s -> !s.contains(slip)).toList(),
                    line);
        }
    }

    /**
     * The plan for one part, in its unit: where only its way is known, and on mark sheets from before plans were marked by their effect.
     *
     * @param planned in the unit of the part, 0 or more
     * @param needed what the apprentice's own figures ask for, in the unit of the part; empty where only the way is known
     * @param allowance how far the amount may be off, in the unit of the part, 0 or more
     * @param splitAssumed whether only a total is known, so that an equal split was assumed
     * @param credit share of the marks, 0 to 1
     */
    record Move(
            String adjuster,
            String part,
            String unit,
            Direction way,
            double planned,
            Direction neededWay,
            Optional<Double> needed,
            double allowance,
            boolean splitAssumed,
            double credit,
            Optional<String> slip)
            implements Evidence {}

    /** Plan for a figure that no part moves. */
    record NoMove(String adjustment, Instead planned, Set<Instead> right) implements Evidence {
        @Override
        public double credit() {
            return right.contains(planned) ? 1 : 0;
        }
    }

    /**
     * Time that the work took, less extra time.
     *
     * @param limit minutes
     * @param taken minutes
     * @param band beyond the limit, minutes
     */
    record TimeTaken(int limit, double taken, Band band) implements Evidence {
        @Override
        public double credit() {
            return band.credit(Math.max(0, taken - limit));
        }
    }

    /**
     * The as-left figure by others' readings judged against the sheet.
     *
     * @param again whether it is the mean of two readings, because the first left it in doubt
     * @param aimed whether the task asks to come nearer to what the sheet prefers than its limits, and {@code limits} are those
     * @param line what the wheel was judged against, where that is the thrust line
     * @param parts what the reference rests on; empty where it is an instructor's own reading alone
     */
    record AsLeft(
            FigureId figure,
            FigureValue reference,
            Limits limits,
            DecisionRule rule,
            Zone zone,
            boolean again,
            boolean accepted,
            boolean aimed,
            Optional<ThrustLine> line,
            List<ReferencePart> parts)
            implements Evidence {

        /** {@code parts}: null in what was stored before they were told. */
        public AsLeft {
            parts = Objects.requireNonNullElse(parts, List.of());
        }

        @Override
        public double credit() {
            return accepted ? 1 : 0;
        }
    }

    /**
     * A figure that nothing on this vehicle moves, as left by the instructor's readings: outside, it is judged on having been found and
     * reported.
     *
     * @param found whether it was judged outside, or too close to tell
     * @param reported whether the damaged or worn part was to be looked for
     */
    record NotAdjustable(
            FigureId figure, FigureValue reference, Limits limits, Zone zone, boolean found, boolean reported)
            implements Evidence {
        @Override
        public double credit() {
            return found && reported ? 1 : 0;
        }
    }
}
