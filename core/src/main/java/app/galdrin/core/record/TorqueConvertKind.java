package app.galdrin.core.record;

import app.galdrin.core.Outcome;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import com.google.auto.service.AutoService;
import java.util.List;

/**
 * Record kind {@code torque.convert}: value · (N·m in one of {@code from}) / (N·m in one of {@code to}), by {@link Unit}.
 */
@AutoService(RecordKind.class)
public final class TorqueConvertKind implements RecordKind {

    private static final NumberField VALUE = NumberField.number("value", Range.NUMBER);
    private static final Unit[] UNITS = Unit.all(Quantity.TORQUE).toArray(Unit[]::new);
    private static final WordField<Unit> FROM = WordField.of("from", UNITS);
    private static final WordField<Unit> TO = WordField.of("to", UNITS);
    private static final NumberField CONVERTED = NumberField.number("value", Range.ALL);

    private static final Contract CONTRACT =
            new Contract("torque.convert", Shape.of(VALUE, FROM, TO), Shape.of(CONVERTED));

    @Override
    public Contract contract() {
        return CONTRACT;
    }

    @Override
    public Outcome<Answer> evaluate(Input in) {
        double value = in.number(VALUE);
        Unit from = in.word(FROM);
        Unit to = in.word(TO);
        double converted = from.convert(value, to);
        return Outcome.of(new Answer(
                new Figures().set(CONVERTED, converted),
                () -> List.of(Step.of("torque.convert.value")
                        .with(VALUE, value)
                        .with("newtonMetresInFrom", FieldUnit.NUMBER, from.factor())
                        .with("newtonMetresInTo", FieldUnit.NUMBER, to.factor())
                        .gives(CONVERTED, converted))));
    }
}
