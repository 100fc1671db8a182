package app.galdrin.core.evaluate;

import app.galdrin.core.measure.ToeAcross;
import app.galdrin.core.measure.ToeBox;
import app.galdrin.core.measure.ToeGauges;
import app.galdrin.core.measure.ToeLine;
import app.galdrin.core.record.JudgeKind;
import app.galdrin.core.record.QuantityParseKind;
import app.galdrin.core.record.RecordKind;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The kinds of record there are: the one list to add a new kind to. */
public final class RecordKinds {

    private static final Map<String, RecordKind> BY_NAME = Stream.of(
                    new QuantityParseKind(),
                    new ToeAcross(),
                    new ToeLine(),
                    new ToeBox(),
                    new ToeGauges(),
                    new JudgeKind())
            .collect(Collectors.toUnmodifiableMap(RecordKind::name, Function.identity()));

    private RecordKinds() {}

    public static Optional<RecordKind> named(String name) {
        return Optional.ofNullable(BY_NAME.get(name));
    }
}
