package app.galdrin.web.words;

import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.answer.Sense;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.TargetReading;
import app.galdrin.core.quantity.Quantity;
import org.springframework.stereotype.Component;

/** Target readings in words: where, how much, and which way; templates reach it as {@code @targets}. */
@Component("targets")
public class TargetWords {

    /** Tenths of a millimetre are more than a rule shows. */
    private static final double PLACES = 10;

    private final Words words;

    TargetWords(Words words) {
        this.words = words;
    }

    /** Returns what is read, or which two readings are compared. */
    public String name(TargetReading target) {
        Place place = target.place();
        String wheel = place.wheel().map(w -> words.text("wheel." + w.key())).orElse("");
        return target.against()
                .map(other -> words.text("target.pair", wheel, lead(wheel), shortly(place), shortly(other))
                        .strip())
                .orElseGet(() -> words.text(place.words() + ".list", wheel));
    }

    private static String lead(String wheel) {
        return wheel.isEmpty() ? "" : ": ";
    }

    private String shortly(Place place) {
        return words.text(place.words() + ".short");
    }

    /** A value of it: its size and which way it is meant. */
    public String value(TargetReading target, double value) {
        boolean length = target.place().amount().quantity() == Quantity.LENGTH;
        double shown = length ? Math.rint(PLACES * value) / PLACES : value;
        if (shown == 0 && target.against().isPresent()) {
            return words.text("target.alike", words.length(0));
        }
        if (target.answer() instanceof SizeAndSense sized) {
            String size = length ? words.length(Math.abs(shown)) : words.angleSize(Math.toRadians(value));
            return size + ", "
                    + words.text("sense."
                            + Sense.of(shown, sized.senses(), sized.side()).key());
        }
        return length ? words.length(shown) : words.angle(Math.toRadians(value));
    }

    /** The place that a drawing shows it at: of two that are compared the one that reads more. */
    public Place place(TargetReading target) {
        return target.value() < 0 ? target.against().orElse(target.place()) : target.place();
    }

    /** The figure alone, as short as a field takes. */
    public String brief(TargetReading target) {
        boolean length = target.place().amount().quantity() == Quantity.LENGTH;
        double shown = length ? Math.rint(PLACES * target.value()) / PLACES : target.value();
        boolean sized = target.against().isPresent() || target.answer() instanceof SizeAndSense;
        double size = sized ? Math.abs(shown) : shown;
        String figure = length
                ? words.length(size)
                : sized ? words.angleSize(Math.toRadians(size)) : words.angle(Math.toRadians(size));
        if (target.against().isEmpty()) {
            return words.text("target.brief", figure);
        }
        return size == 0 ? words.text("target.brief.alike") : words.text("target.brief.more", figure);
    }

    /** The way it is meant; empty where its answer has none, or two places are compared. */
    public String sense(TargetReading target) {
        return target.against().isEmpty() && target.answer() instanceof SizeAndSense sized
                ? words.text("sense."
                        + Sense.of(target.value(), sized.senses(), sized.side()).key())
                : "";
    }

    /** Returns what must be read. */
    public String said(TargetReading target) {
        return words.text("target.said", name(target), value(target, target.value()));
    }
}
