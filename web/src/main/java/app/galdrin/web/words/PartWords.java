package app.galdrin.web.words;

import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Fastener;
import app.galdrin.core.spec.SpecificationSheet;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/** Words for what is done with a part of a sheet. */
public final class PartWords {

    private static final double TO_TENTHS_BELOW = 10;

    private final Words words;

    public PartWords(Words words) {
        this.words = words;
    }

    /** Returns the steps in order: what to slacken, what to tighten and how far, and whether to read again. */
    public List<String> steps(SpecificationSheet sheet, Adjuster part) {
        List<String> steps = new ArrayList<>();
        part.fastener().ifPresent(f -> steps.add(words.text("sheet.part.slacken", f)));
        sheet.fastener(part).ifPresent(f -> steps.add(words.text("sheet.part.tighten", f.name(), torque(f))));
        part.spare().ifPresent(spare -> steps.add(words.text("sheet.part.spare", words.amount(spare, part.unit()))));
        steps.add(words.text(part.rereadAfter() ? "sheet.part.reread" : "sheet.part.once"));
        return steps;
    }

    /** Returns the move of a part: which way, and how far in its unit; {@code units} is positive the way that counts as positive. */
    public String move(Adjuster part, double units) {
        return words.text(
                "move",
                words.text("way." + part.part().way((int) Math.signum(units)).key()),
                words.amount(units, part.unit()),
                words.text("adjusterUnit." + part.unit().key()));
    }

    /** Returns how far it is tightened, in the two units that are confused the most. */
    public String torque(Fastener f) {
        if (f.least().isEmpty() && f.most().isEmpty()) {
            return words.text("sheet.torque.unknown");
        }
        String turned = f.angle().isPresent()
                ? " "
                        + words.text(
                                "sheet.torque.angle", words.angleSize(f.angle().getAsDouble()))
                : "";
        return words.text("sheet.torque", between(f, Unit.NEWTON_METRE), between(f, Unit.POUND_FOOT)) + turned;
    }

    private static String between(Fastener f, Unit unit) {
        List<String> ends = Stream.of(f.least(), f.most())
                .filter(OptionalDouble::isPresent)
                .map(v -> Unit.NEWTON_METRE.convert(v.getAsDouble(), unit))
                .map(v -> QuantityFormat.decimal(v, v < TO_TENTHS_BELOW ? 1 : 0, false))
                .distinct()
                .toList();
        return String.join("–", ends) + "\u00a0" + unit.key();
    }
}
