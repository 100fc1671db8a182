package app.galdrin.web.words;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.Unit;
import java.util.ArrayList;
import java.util.List;

/** Sentences on a text that was not understood: what was read, why it cannot be right, what to do. */
public final class LineTextWords {

    private LineTextWords() {}

    /** The sentence: typed text, an example key, what was read, unit key, least and most. */
    public static Sentence why(LineText.Refusal refused) {
        List<Object> args = new ArrayList<>();
        AnswerType type = refused.type();
        // the way was chosen, not typed
        args.add(Words.quote(type instanceof SizeAndSense ? LineText.sizeOf(refused.typed()) : refused.typed()));
        if (type instanceof AnswerType.ShortText text) {
            args.add(text.longest());
        } else if (type instanceof Amount || type instanceof SizeAndSense) {
            Amount amount = type instanceof SizeAndSense sized ? sized.size() : (Amount) type;
            args.add(new Word("field.example." + amount.quantity().key()));
            Unit unit = ofRange(amount);
            args.add(refused.read().isPresent() ? figure(refused.read().getAsDouble(), unit) : "");
            args.add(new Word("unit." + unit.key()));
            args.add(figure(amount.least(), unit));
            args.add(figure(amount.most(), unit));
            args.add(AnswerType.LONGEST);
        }
        return new Sentence("field." + refused.reason().key(), args);
    }

    /** Returns a number of documents in a unit. */
    private static String figure(double value, Unit unit) {
        return QuantityFormat.length(value / unit.factor());
    }

    /** Returns what the range of a place is in, whatever unit its instrument shows. */
    private static Unit ofRange(Amount amount) {
        return switch (amount.quantity()) {
            case LENGTH -> Unit.MM;
            case ANGLE -> Unit.DEG;
            case COUNT, TORQUE, PRESSURE -> amount.defaultUnit();
        };
    }
}
