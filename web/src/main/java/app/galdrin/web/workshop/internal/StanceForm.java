package app.galdrin.web.workshop.internal;

import app.galdrin.core.spec.Stance;
import app.galdrin.web.layout.WholeNumber;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.Words;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/** Height and load of a vehicle as they are typed: whole numbers, each of which may be left out. */
final class StanceForm {

    private StanceForm() {}

    /** Returns why one of them is refused. */
    static Optional<Sentence> fault(String rideHeight, String load) {
        if (!rideHeight.isBlank() && height(rideHeight).isEmpty()) {
            return Optional.of(Sentence.of(
                    "vehicle.set.rideHeight.wrong", Words.quote(rideHeight), (int) Stance.LEAST_HEIGHT, (int)
                            Stance.MOST_HEIGHT));
        }
        return !load.isBlank() && carried(load).isEmpty()
                ? Optional.of(Sentence.of("vehicle.set.load.wrong", Words.quote(load), (int) Stance.MOST_LOAD))
                : Optional.empty();
    }

    /** Returns what was typed, of texts without a fault. */
    static Stance stance(String rideHeight, String load) {
        return new Stance(known(height(rideHeight)), known(carried(load)));
    }

    private static OptionalInt height(String typed) {
        return WholeNumber.read(typed, (int) Stance.LEAST_HEIGHT, (int) Stance.MOST_HEIGHT);
    }

    private static OptionalInt carried(String typed) {
        return WholeNumber.read(typed, 0, (int) Stance.MOST_LOAD);
    }

    private static OptionalDouble known(OptionalInt number) {
        return number.isPresent() ? OptionalDouble.of(number.getAsInt()) : OptionalDouble.empty();
    }
}
