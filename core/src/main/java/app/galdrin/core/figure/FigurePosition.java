package app.galdrin.core.figure;

import app.galdrin.core.Keyed;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The position of steering or suspension in which a figure is meant.
 *
 * @param kind which position
 * @param amount degrees steered (0 to 60) or mm of travel (−250 to 250, bump positive); 0 for the others
 */
public record FigurePosition(Kind kind, int amount) {

    /** Straight ahead at ride height. */
    public static final FigurePosition AHEAD = new FigurePosition(Kind.AHEAD, 0);

    private static final Pattern FORM =
            Pattern.compile("(steeredLeft|steeredRight|travel)(-?[0-9]{1,3})|leftLock|rightLock");
    private static final int MOST_STEER = 60;
    private static final int MOST_TRAVEL = 250;

    /** Kinds of position. */
    public enum Kind implements Keyed {
        AHEAD(""),
        STEERED_LEFT("steeredLeft"),
        STEERED_RIGHT("steeredRight"),
        LEFT_LOCK("leftLock"),
        RIGHT_LOCK("rightLock"),
        TRAVEL("travel");

        private final String key;

        Kind(String key) {
            this.key = key;
        }

        /** The beginning of its key; empty for straight ahead. */
        @Override
        public String key() {
            return key;
        }
    }

    public FigurePosition {
        boolean steered = kind == Kind.STEERED_LEFT || kind == Kind.STEERED_RIGHT;
        boolean legal = kind == Kind.TRAVEL
                ? Math.abs(amount) <= MOST_TRAVEL
                : steered ? amount >= 0 && amount <= MOST_STEER : amount == 0;
        if (!legal) {
            throw new IllegalArgumentException("at " + kind + ": " + amount + " is beyond what a vehicle does");
        }
    }

    /** Returns the end of a figure's key; empty for straight ahead. */
    public String key() {
        return switch (kind) {
            case AHEAD, LEFT_LOCK, RIGHT_LOCK -> kind.key;
            default -> kind.key + amount;
        };
    }

    /** Reads the key of a position. */
    public static Optional<FigurePosition> parse(String key) {
        Matcher matcher = FORM.matcher(key);
        if (!matcher.matches()) {
            return Optional.empty();
        }
        String head = matcher.group(1) == null ? key : matcher.group(1);
        int amount = matcher.group(2) == null ? 0 : Integer.parseInt(matcher.group(2));
        for (Kind kind : Kind.values()) {
            if (kind.key.equals(head)) {
                try {
                    return Optional.of(new FigurePosition(kind, amount));
                } catch (IllegalArgumentException e) {
                    return Optional.empty();
                }
            }
        }
        return Optional.empty();
    }
}
