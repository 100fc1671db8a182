package app.galdrin.core.marking;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.PlaceId;
import app.galdrin.core.procedure.paper.Intermediate;
import app.galdrin.core.record.Step;
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

/** What a mark rests on. Figures are rad or mm unless said; {@code credit} is 0 to 1. */
public sealed interface Evidence {

    /** Share of what there was to earn, 0 to 1. */
    double credit();

    /** Whether it is a smaller matter beside the others of its line: all such together are a tenth of it. */
    default boolean minor() {
        return false;
    }

    /** Whether its line is not met, whatever else there is. */
    default boolean bars() {
        return false;
    }

    /**
     * A figure and its standard uncertainty, rad or mm.
     *
     * @param value rad or mm, with the sign of its measurand
     * @param doubt standard uncertainty, rad or mm, 0 or more
     */
    record Figure(double value, double doubt) {}

    /**
     * The thrust line that a front wheel was judged against; the figure beside it is counted from there.
     *
     * @param thrust rad, positive to the right
     * @param steeringWheel how the steering wheel sits on the road with the fronts so, rad, positive to the right; empty where that is not
     *     known
     */
    record ThrustLine(double thrust, Optional<Double> steeringWheel) {}

    /** What can be missing; each has a sentence of its own. */
    enum Lack implements Keyed {
        READINGS("readings"),
        REFERENCE("reference"),
        AS_LEFT_REFERENCE("asLeftReference"),
        /** The vehicle as left is too close to tell and has to be read once more. */
        AS_LEFT_AGAIN("asLeftAgain"),
        REPEATS("repeats"),
        WORKING("working"),
        TARGET("target"),
        VERDICT("verdict"),
        ADJUSTABLE("adjustable"),
        PLAN("plan"),
        MOVES("moves"),
        AS_LEFT_LIMITS("asLeftLimits"),
        TIME("time");

        private final String key;

        Lack(String key) {
            this.key = key;
        }

        @Override
        public String key() {
            return key;
        }
    }

    /**
     * Something needed is not there.
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
    }

    /**
     * Why a line of a checklist is done, as it was asked; every reason counts alike.
     *
     * @param answer as written
     */
    record GivenReason(String item, Optional<String> answer, List<MatchedReason> reasons) implements Evidence {
        @Override
        public double credit() {
            return reasons.stream().filter(MatchedReason::found).count() / (double) reasons.size();
        }
    }

    /** A reason by the words that give it away, and whether one of them was found. */
    record MatchedReason(List<String> words, boolean found) {}

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
     */
    record Reading(
            FigureId figure,
            Figure own,
            Figure reference,
            Band band,
            double promised,
            int taken,
            int asked,
            double credit,
            Optional<DoubtFrom> doubtFrom,
            List<Set<String>> slips,
            boolean possible,
            List<PlaceId> places)
            implements Evidence {

        /** {@code places}: null in what was stored before they were told. */
        public Reading {
            places = Objects.requireNonNullElse(places, List.of());
        }

        /** A band that is wider by less is the same to whoever reads it. */
        private static final double WORTH_SAYING = 1.02;

        Reading with(List<ReadingSlips.Explanation> found) {
            return new Reading(
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
                    found.stream().anyMatch(ReadingSlips.Explanation::possible),
                    found.size() == 1 ? found.get(0).places().stream().sorted().toList() : List.of());
        }

        /** Whether it lies off the reference by more than full marks allow. */
        public boolean off() {
            return band.credit(difference()) < 1;
        }

        /** Whether a poor reference has widened the band by as much as is worth saying. */
        public boolean widened() {
            return promised > 0 && band.full() > WORTH_SAYING * promised;
        }

        /** Own less reference, rad or mm. */
        public double difference() {
            return own.value() - reference.value();
        }
    }

    /**
     * What most of a doubt comes from; its share of the variance is 0 to 1.
     *
     * @param share share of the variance, 0 to 1
     */
    record DoubtFrom(String group, double share) {}

    /**
     * The apprentice's own repeats of a figure, rad or mm; the range is highest less lowest.
     *
     * @param each rad or mm, an element a repeat
     * @param range rad or mm, 0 or more
     * @param credit share of the marks, 0 to 1
     */
    record Repeats(FigureId figure, List<Double> each, double range, Band band, double credit) implements Evidence {}

    /**
     * A worked figure against what the taught working gives from the same readings, both in the answer's unit.
     *
     * @param taught key of the working
     * @param honest what his readings give, in the unit of the answer
     * @param written what he wrote, in the unit of the answer
     * @param tolerance how far it may be off, in the unit of the answer, 0 or more
     * @param credit share of the marks, 0 to 1
     * @param slips that give what was written, each with all it takes
     * @param possible whether so many slips could give so much that this one may be chance
     * @param way what was asked for on the way to it; the marks are theirs and the figure's alike
     * @param follows what follows from what he wrote on the way, in the unit of the answer; empty where that is what his readings give
     * @param rounded what a usual habit of rounding on the way gives, where marks were earned by that
     * @param unread readings that are missing, where the figure is right for what they can have been
     * @param steps from his readings to the figure, an element a repeat; empty until the sheet is shown or stored
     */
    record Working(
            FigureId figure,
            String from,
            AnswerUnit unit,
            String taught,
            double honest,
            double written,
            double tolerance,
            double credit,
            List<Set<String>> slips,
            boolean possible,
            List<OnTheWay> way,
            Optional<Double> follows,
            Optional<Double> rounded,
            List<MissingReading> unread,
            List<List<Step>> steps)
            implements Evidence {

        /** {@code unread}, {@code steps}: null in what was stored before they were told. */
        public Working {
            unread = Objects.requireNonNullElse(unread, List.of());
            steps = Objects.requireNonNullElse(steps, List.of());
        }

        /** Without anything on the way. */
        public Working(
                FigureId figure,
                String from,
                AnswerUnit unit,
                String taught,
                double honest,
                double written,
                double tolerance,
                double credit,
                List<Set<String>> slips,
                boolean possible) {
            this(
                    figure,
                    from,
                    unit,
                    taught,
                    honest,
                    written,
                    tolerance,
                    credit,
                    slips,
                    possible,
                    List.of(),
                    Optional.empty(),
                    Optional.empty(),
                    List.of(),
                    List.of());
        }

        Working with(List<List<Step>> through) {
            return new Working(
                    figure, from, unit, taught, honest, written, tolerance, credit, slips, possible, way, follows,
                    rounded, unread, through);
        }

        /** Returns whether it is right. */
        public boolean right() {
            return slips.isEmpty() && credit == 1;
        }

        /** Whether it follows from his own figures, a total from his two wheels, rather than from his readings. */
        public boolean addedUp() {
            return right()
                    && way.isEmpty()
                    && rounded.isEmpty()
                    && unread.isEmpty()
                    && Math.abs(written - honest) > tolerance;
        }

        /** Whether it is what follows from what he wrote on the way, which was not what his readings give. */
        public boolean followsWay() {
            return follows.filter(f -> Math.abs(written - f) <= tolerance).isPresent();
        }

        /** Whether it is off by what rounding does, and lost half. */
        public boolean near() {
            return slips.isEmpty()
                    && credit > 0
                    && credit < 1
                    && (way.isEmpty() || Math.abs(written - honest) <= 2 * tolerance);
        }
    }

    /**
     * An intermediate figure: mm, deg or a number.
     *
     * @param honest what his readings give, or what he had written before it, in its own unit
     * @param wrote in its own unit; empty where nothing is written
     * @param tolerance how far it may be off, in its own unit, 0 or more
     * @param credit share of the marks, 0 to 1
     */
    record OnTheWay(Intermediate what, double honest, Optional<Double> wrote, double tolerance, double credit) {}

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
            Figure own,
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
     * Whether two procedures agree on a figure.
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

    /** Whether figures can be adjusted on this vehicle, by key of the adjustment. */
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
     * What was planned for one part, 0 or more in its unit.
     *
     * @param amount in the unit of the part, 0 or more
     */
    record PlannedMove(String adjuster, String unit, Direction way, double amount) {}

    /**
     * Where a plan would leave a figure, by the apprentice's own.
     *
     * @param zone where his own figure lies
     * @param after what the moves make of it, rad or mm
     * @param moves of every part that moves it
     * @param splitAssumed whether only a total is known, so that an equal split was assumed
     * @param credit share of the marks, 0 to 1
     * @param slips any of which, undone, would have made it right
     * @param line what the wheel is counted from, where that is the thrust line
     */
    record Effect(
            FigureId figure,
            Figure own,
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

    /** What was planned where nothing can be moved. */
    record NoMove(String adjustment, Instead planned, Set<Instead> right) implements Evidence {
        @Override
        public double credit() {
            return right.contains(planned) ? 1 : 0;
        }
    }

    /**
     * How long the work took, extra time taken off.
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
     * The instructor's own as-left figure judged against the sheet.
     *
     * @param again whether it is the mean of two readings, because the first left it in doubt
     * @param aimed whether the task asks to come nearer to what the sheet prefers than its limits, and {@code limits} are those
     * @param line what the wheel was judged against, where that is the thrust line
     */
    record AsLeft(
            FigureId figure,
            Figure reference,
            Limits limits,
            DecisionRule rule,
            Zone zone,
            boolean again,
            boolean accepted,
            boolean aimed,
            Optional<ThrustLine> line)
            implements Evidence {
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
    record NotAdjustable(FigureId figure, Figure reference, Limits limits, Zone zone, boolean found, boolean reported)
            implements Evidence {
        @Override
        public double credit() {
            return found && reported ? 1 : 0;
        }
    }
}
