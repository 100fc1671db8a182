package app.galdrin.core.draft;

import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.QuantityParser;
import app.galdrin.core.quantity.QuantityText;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.task.Band;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A band as an instructor types it, in degrees or mm: {@code 0.05} for full marks up to there and the usual room beyond; {@code 0.05; 0.2}
 * for a straight line to none; {@code 0.05; 0.1 60 %; 0.2 30 %} for steps.
 */
public final class BandText {

    /** A limit and, where it is a step's, its percent. */
    private static final Pattern PART = Pattern.compile("(\\S.{0,19}?)(?:\\s+([1-9][0-9]?)\\s*%)?");

    private static final int PLACES = 3;

    private final Quantity quantity;

    public BandText(Quantity quantity) {
        this.quantity = quantity;
    }

    private boolean angle() {
        return quantity == Quantity.ANGLE;
    }

    /** Returns the narrowest full band, in degrees or mm. */
    public double narrowest() {
        return angle() ? Band.NARROWEST_ANGLE : Band.NARROWEST_LENGTH;
    }

    /** Returns the widest full band, in degrees or mm. */
    public double widest() {
        return angle() ? Band.WIDEST_ANGLE : Band.WIDEST_LENGTH;
    }

    /** Empty where it can't be a band. */
    public Optional<Band> read(String text) {
        List<Band.Step> parts = new ArrayList<>();
        for (String one : text.split(";", -1)) {
            Matcher part = PART.matcher(one.strip());
            OptionalDouble limit = part.matches() ? limit(part.group(1), parts.isEmpty()) : OptionalDouble.empty();
            if (limit.isEmpty()) {
                return Optional.empty();
            }
            parts.add(new Band.Step(
                    limit.getAsDouble(),
                    Integer.parseInt(Optional.ofNullable(part.group(2)).orElse("0"))));
        }
        return band(parts.get(0), parts.subList(1, parts.size()));
    }

    private static Optional<Band> band(Band.Step full, List<Band.Step> beyond) {
        if (full.percent() != 0) {
            return Optional.empty();
        }
        if (beyond.isEmpty()) {
            return Optional.of(Band.from(full.within()));
        }
        if (beyond.size() == 1 && beyond.get(0).percent() == 0) {
            double none = beyond.get(0).within();
            return none > full.within() ? Optional.of(new Band(full.within(), none)) : Optional.empty();
        }
        return Band.canStep(full.within(), beyond)
                ? Optional.of(Band.stepped(full.within(), beyond))
                : Optional.empty();
    }

    /** mm or rad. */
    private OptionalDouble limit(String text, boolean full) {
        double most = full ? widest() : Band.NONE_TO_FULL * widest();
        return QuantityParser.parse(text, quantity, angle() ? Unit.DEG : Unit.MM)
                                instanceof QuantityText.ParsedQuantity r
                        && r.value() >= narrowest()
                        && r.value() <= most
                ? OptionalDouble.of(quantity.toCore(r.value()))
                : OptionalDouble.empty();
    }

    /** Returns the text as it would be typed. */
    public String write(Band band) {
        String full = limit(band.full());
        if (!band.steps().isEmpty()) {
            return Stream.concat(
                            Stream.of(full),
                            band.steps().stream().map(step -> limit(step.within()) + " " + step.percent() + " %"))
                    .collect(Collectors.joining("; "));
        }
        boolean usualRoom = limit(Band.NONE_TO_FULL * band.full()).equals(limit(band.none()));
        return usualRoom ? full : full + "; " + limit(band.none());
    }

    /**
     * Writes a limit, rad or mm, as it is typed: degrees or mm.
     *
     * @param inCore mm or rad
     */
    public String limit(double inCore) {
        return QuantityFormat.decimal(quantity.toDocument(inCore), PLACES, false);
    }
}
