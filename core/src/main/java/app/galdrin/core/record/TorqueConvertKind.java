package app.galdrin.core.record;

import app.galdrin.core.Outcome;
import app.galdrin.core.quantity.Torque;
import com.google.auto.service.AutoService;
import java.util.List;

/**
 * Record kind {@code torque.convert}: value · (N·m in one of {@code from}) / (N·m in one of {@code to}), by {@link Torque}.
 */
@AutoService(RecordKind.class)
public final class TorqueConvertKind implements RecordKind {

    private static final NumberField VALUE = NumberField.number("value", Range.NUMBER);
    private static final WordField<Torque> FROM = WordField.of("from", Torque.values());
    private static final WordField<Torque> TO = WordField.of("to", Torque.values());
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
        Torque from = in.word(FROM);
        Torque to = in.word(TO);
        double converted = from.convert(value, to);
        return Outcome.of(new Answer(
                new Figures().set(CONVERTED, converted),
                () -> List.of(Step.of("torque.convert.value")
                        .with(VALUE, value)
                        .with("newtonMetresInFrom", FieldUnit.NUMBER, from.newtonMetres())
                        .with("newtonMetresInTo", FieldUnit.NUMBER, to.newtonMetres())
                        .gives(CONVERTED, converted))));
    }
}
