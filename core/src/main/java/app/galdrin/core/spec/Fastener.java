package app.galdrin.core.spec;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Fastener that is slackened to adjust and tightened after it.
 *
 * @param name as the sheet names it, one of a kind on it
 * @param use what it holds; empty where the sheet does not say
 * @param thread a metric thread such as {@code M12 × 1.25}; empty where the sheet does not give it
 * @param least tightening torque, N·m; empty, with most, where nobody knows: then it is not confirmed and the instructor is called
 * @param most N·m, not below least
 * @param angle turned on after the torque, rad; empty where there is none
 * @param singleUse never fitted again once taken off
 */
public record Fastener(
        String name,
        Optional<FastenerUse> use,
        Optional<String> thread,
        OptionalDouble least,
        OptionalDouble most,
        OptionalDouble angle,
        boolean singleUse) {

    /** N·m a cubic millimetre of thread: T = 0.2 · F · d of an ordinary bolt preloaded to three quarters of its proof load. */
    private static final double USUAL = 0.05;

    /** Lock nuts and soft joints take far less, the hardest bolts more; an inch taken for a foot is a factor of twelve. */
    private static final double LEAST_OF_USUAL = 0.2;

    private static final double MOST_OF_USUAL = 3;

    /** Share of a torque that a hand wrench may be off when it is calibrated [ISO6789]. */
    private static final double WRENCH = 0.04;

    /** N·m by which a figure in another unit may be rounded. */
    private static final double ROUNDING = 0.5;

    private static final Pattern METRIC = Pattern.compile("[Mm]\\s?([0-9]{1,2})(\\s?[x×]\\s?[0-9](\\.[0-9]{1,2})?)?");

    public Fastener {
        if (least.orElse(0) > most.orElse(Double.POSITIVE_INFINITY) || !(least.orElse(1) > 0)) {
            throw new IllegalArgumentException("torque of " + name + ": least (" + least
                    + " N·m) must be positive and not above most (" + most + ")");
        }
    }

    /** The diameter of a metric thread by its name, mm; empty where it is none. */
    public static OptionalDouble diameter(String thread) {
        Matcher metric = METRIC.matcher(thread);
        return metric.matches() && Double.parseDouble(metric.group(1)) > 0
                ? OptionalDouble.of(Double.parseDouble(metric.group(1)))
                : OptionalDouble.empty();
    }

    /**
     * Returns whether a torque, N·m, is one that a thread of so many mm takes; our working value, to have the data looked at again.
     *
     * @param torque N·m, above 0
     * @param thread diameter, mm, above 0
     */
    public static boolean plausible(double torque, double thread) {
        double usual = USUAL * thread * thread * thread;
        return torque >= LEAST_OF_USUAL * usual && torque <= MOST_OF_USUAL * usual;
    }

    /** Returns whether nobody knows its torque. */
    public boolean isUnknown() {
        return least.isEmpty() && most.isEmpty();
    }

    /**
     * Returns whether a torque is what its data asks for. A single figure is met within what a wrench is good for, {@value #WRENCH} of it.
     *
     * @param torque N·m
     */
    public boolean isMet(double torque) {
        double from = least.orElse(most.orElse(Double.POSITIVE_INFINITY));
        double to = most.orElse(from);
        double allowance = from == to ? WRENCH * from : ROUNDING;
        return torque >= from - allowance && torque <= to + allowance;
    }

    /** Returns whether one of its torques is not what its thread usually takes. */
    public boolean unusual() {
        OptionalDouble diameter = thread.map(Fastener::diameter).orElse(OptionalDouble.empty());
        return diameter.isPresent()
                && (unusual(least, diameter.getAsDouble()) || unusual(most, diameter.getAsDouble()));
    }

    private static boolean unusual(OptionalDouble torque, double diameter) {
        return torque.isPresent() && !plausible(torque.getAsDouble(), diameter);
    }

    /** Returns whether a part means this one; capitals do not count. */
    public boolean isNamed(String other) {
        return name.equalsIgnoreCase(other.strip());
    }
}
