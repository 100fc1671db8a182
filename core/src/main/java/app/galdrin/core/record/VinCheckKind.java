package app.galdrin.core.record;

import app.galdrin.core.Outcome;
import app.galdrin.core.spec.VehicleIdentification;
import com.google.auto.service.AutoService;
import java.util.List;

/** Record kind {@code vin.check}: a vehicle identification number, by {@link VehicleIdentification}. */
@AutoService(RecordKind.class)
public final class VinCheckKind implements RecordKind {

    private static final TextField VIN = TextField.of("vin");
    private static final FlagField WELL_FORMED = FlagField.of("wellFormed");
    private static final TextField CHECK_DIGIT = TextField.of("checkDigit").optional();
    private static final FlagField MATCHES = FlagField.of("checkDigitMatches").optional();

    private static final Contract CONTRACT =
            new Contract("vin.check", Shape.of(VIN), Shape.of(WELL_FORMED, CHECK_DIGIT, MATCHES));

    @Override
    public Contract contract() {
        return CONTRACT;
    }

    @Override
    public Outcome<Answer> evaluate(Input in) {
        String vin = in.text(VIN);
        boolean wellFormed = VehicleIdentification.wellFormed(vin);
        var figures = new Figures().set(WELL_FORMED, wellFormed);
        if (wellFormed) {
            figures.set(CHECK_DIGIT, String.valueOf(VehicleIdentification.checkDigit(vin)))
                    .set(MATCHES, VehicleIdentification.checkDigitMatches(vin));
        }
        return Outcome.of(new Answer(figures, List::of));
    }
}
