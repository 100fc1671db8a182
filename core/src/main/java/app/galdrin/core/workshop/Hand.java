package app.galdrin.core.workshop;

import java.util.Objects;
import java.util.random.RandomGenerator;

/** One honest person's hands, by {@link Habits}. */
public final class Hand {

    private final double clumsiness;
    private final RandomGenerator random;
    private final boolean coarse;

    /**
     * {@code clumsiness} is a factor on every habit, without unit: 1; 1.5 for hands half as clumsy again; 0 for none that errs.
     *
     * @param clumsiness factor on every habit, 0 or more
     */
    public Hand(double clumsiness, RandomGenerator random) {
        this.clumsiness = clumsiness;
        this.random = random;
        this.coarse = random.nextInt(Habits.COARSE_ONE_IN) == 0;
    }

    RandomGenerator random() {
        return random;
    }

    /**
     * Returns what is read where so much stands, to a mark.
     *
     * @param instrument its key
     * @param tread whether it is hooked on a tread
     * @param stands mm or deg
     * @param mark mm or deg
     * @return mm or deg
     */
    public double read(String instrument, boolean tread, double stands, double mark) {
        Habits.ReadingHabit habit = Objects.requireNonNull(Habits.READINGS.get(instrument), instrument);
        double shown = stands + clumsiness * (habit.eye() * random.nextGaussian() + triangular(habit.laidOn()));
        if (tread) {
            shown += clumsiness * Habits.TREAD * (2 * random.nextDouble() - 1);
        }
        boolean halves = instrument.equals("ruleMillimetres") || instrument.equals("tape");
        double step = coarse && halves ? 2 * mark : mark;
        return clumsiness == 0 ? shown : Math.rint(shown / step) * step;
    }

    /** Returns how far off something is set this once, mm. */
    double length(String what) {
        return clumsiness * triangular(setting(what).most());
    }

    /** Returns how far off something is set this once, rad. */
    double angle(String what) {
        Habits.SetupHabit setting = setting(what);
        double off = clumsiness * triangular(setting.most());
        return setting.over() == 0 ? Math.toRadians(off) : Math.atan(off / setting.over());
    }

    private static Habits.SetupHabit setting(String what) {
        return Objects.requireNonNull(Habits.SETTINGS.get(what), what);
    }

    private double triangular(double most) {
        double one = random.nextDouble();
        double other = random.nextDouble();
        return most * (one - other);
    }
}
