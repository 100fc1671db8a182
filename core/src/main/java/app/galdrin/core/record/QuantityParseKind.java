package app.galdrin.core.record;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityParser;
import app.galdrin.core.quantity.QuantityText;
import app.galdrin.core.quantity.TextFault;
import app.galdrin.core.quantity.Unit;
import com.google.auto.service.AutoService;
import java.util.List;

/** Record kind {@code quantity.parse}: text as people write it, read by {@link QuantityParser}. */
@AutoService(RecordKind.class)
public final class QuantityParseKind implements RecordKind {

    private static final TextField TEXT = TextField.of("text");
    private static final WordField<Quantity> QUANTITY = WordField.of("quantity", Quantity.LENGTH, Quantity.ANGLE);
    private static final WordField<Unit> DEFAULT_UNIT =
            WordField.of("defaultUnit", Unit.MM, Unit.IN, Unit.DEG, Unit.ARCMIN);
    private static final NumberField VALUE = NumberField.number("value", Range.ALL);
    private static final WordField<Unit> UNIT = WordField.of("unit", Unit.MM, Unit.IN, Unit.FT, Unit.DEG, Unit.ARCMIN);

    private static final Contract CONTRACT =
            new Contract("quantity.parse", Shape.of(TEXT, QUANTITY, DEFAULT_UNIT), Shape.of(VALUE, UNIT));

    @Override
    public Contract contract() {
        return CONTRACT;
    }

    @Override
    public Outcome<Answer> evaluate(Input in) {
        Unit defaultUnit = in.word(DEFAULT_UNIT);
        if (defaultUnit.quantity() != in.word(QUANTITY)) {
            return Outcome.fault(FaultCode.INCONSISTENT, DEFAULT_UNIT.name());
        }
        return result(QuantityParser.parse(in.text(TEXT), in.word(QUANTITY), defaultUnit));
    }

    private static Outcome<Answer> result(QuantityText parsed) {
        if (parsed instanceof QuantityText.ParsedQuantity read) {
            return Outcome.of(new Answer(new Figures().set(VALUE, read.value()).set(UNIT, read.unit()), List::of));
        }
        boolean tooLarge = ((QuantityText.Rejection) parsed).reason() == TextFault.TOO_LARGE;
        return Outcome.fault(tooLarge ? FaultCode.OUT_OF_RANGE : FaultCode.MALFORMED, TEXT.name());
    }
}
