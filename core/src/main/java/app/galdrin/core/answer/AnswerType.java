package app.galdrin.core.answer;

import app.galdrin.core.Keyed;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import java.util.Arrays;
import java.util.List;

/** Type of the text that a line takes. */
public sealed interface AnswerType {

    /** Longest text of a quantity or a choice. */
    int LONGEST = 60;

    /** A tick: the word {@code done}. */
    record Tick() implements AnswerType {
        public static final String DONE = "done";
    }

    /**
     * One of these, by key.
     *
     * @param words the family in which each option has its word, such as {@code verdict}
     */
    record Choice(String words, List<String> options) implements AnswerType {
        public Choice {
            options = List.copyOf(options);
        }

        public static Choice of(String words, Keyed... options) {
            return new Choice(words, Arrays.stream(options).map(Keyed::key).toList());
        }
    }

    /**
     * A quantity.
     *
     * @param defaultUnit of a figure without a unit
     * @param least smallest that can be real there, in mm, degrees or a count
     * @param most largest that can be real there, in mm, degrees or a count
     */
    record Amount(Quantity quantity, Unit defaultUnit, double least, double most) implements AnswerType {
        /** The same, a figure without a unit counting as one of this. */
        public Amount in(Unit unit) {
            return new Amount(quantity, unit, least, most);
        }
    }

    /**
     * A size of 0 or more and which way it is meant, written {@code 1.15, topIn}: the way has to be chosen and becomes the sign.
     *
     * @param size the least and most of it, 0 or more
     * @param senses the ways there are
     * @param side of the vehicle it is written at
     */
    record SizeAndSense(Amount size, List<Sense> senses, Side side) implements AnswerType {
        public SizeAndSense {
            senses = List.copyOf(senses);
        }

        /** Returns how an offset of the instrument stands in the signed size: 1 or −1. {@link Sense#signOfOffset}. */
        public int signOfOffset() {
            return senses.get(0).signOfOffset(side);
        }
    }

    /** A short text, at most so many characters. */
    record ShortText(int longest) implements AnswerType {}

    /** The identification number of a vehicle: 17 letters and digits, never I, O or Q. */
    record VehicleNumber() implements AnswerType {
        public static final int LENGTH = 17;
    }

    /** Returns whether the answer is a number. */
    default boolean numeric() {
        return this instanceof Amount || this instanceof SizeAndSense;
    }
}
