package app.galdrin.core.record;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityParser;
import app.galdrin.core.quantity.QuantityText;
import app.galdrin.core.quantity.QuantityText.Reason;
import app.galdrin.core.quantity.Unit;
import java.util.Map;

/** Record kind {@code quantity.parse}: text as people write it. */
public final class QuantityParseKind implements RecordKind {

    private static final Map<String, Quantity> QUANTITIES = Map.of("length", Quantity.LENGTH, "angle", Quantity.ANGLE);
    private static final Map<String, Unit> DEFAULT_UNITS =
            Map.of("mm", Unit.MM, "in", Unit.IN, "deg", Unit.DEG, "arcmin", Unit.ARCMIN);

    @Override
    public String name() {
        return "quantity.parse";
    }

    @Override
    public Outcome<Figures> evaluate(Fields in) {
        in.only("text", "quantity", "defaultUnit");
        String text = in.text("text");
        Quantity quantity = in.word("quantity", QUANTITIES);
        Unit defaultUnit = in.word("defaultUnit", DEFAULT_UNITS);
        return in.then(() -> {
            if (defaultUnit.quantity() != quantity) {
                return Outcome.fault(FaultCode.INCONSISTENT, "defaultUnit");
            }
            return result(QuantityParser.parse(text, quantity, defaultUnit));
        });
    }

    private static Outcome<Figures> result(QuantityText parsed) {
        if (parsed instanceof QuantityText.Read read) {
            return Outcome.of(new Figures()
                    .number("value", read.value())
                    .text("unit", read.unit().key()));
        }
        boolean tooLarge = ((QuantityText.Rejected) parsed).reason() == Reason.TOO_LARGE;
        return Outcome.fault(tooLarge ? FaultCode.OUT_OF_RANGE : FaultCode.MALFORMED, "text");
    }
}
