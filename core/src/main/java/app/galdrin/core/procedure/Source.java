package app.galdrin.core.procedure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/** Where a field of a record comes from, how well it is known, and the name its doubt goes under. */
public sealed interface Source {

    /** The value in the record's unit, or a word; empty where there is none. */
    Optional<Object> value(Map<String, Double> readings, Standing standing);

    /** Standard uncertainty in the core's unit, mm or rad. */
    double standardUncertainty(Standing standing);

    /** What the field moves by when the source moves by one: +1, or −1 where their positive ways differ. */
    default int slope() {
        return 1;
    }

    /** The name of the source of doubt; {@code ofReading} turns a place into the name of this very reading. */
    String name(Function<String, String> ofReading, Standing standing);

    /** What nobody reads because it is known beforehand; the sheet tells it where it is worked with. */
    sealed interface Given extends Source {
        /** Names it, in words and as a source of doubt. */
        String key();

        FieldUnit unit();

        /** The value in the record's unit; empty where it is not known. */
        Optional<Double> known(Standing standing);

        @Override
        default Optional<Object> value(Map<String, Double> readings, Standing standing) {
            return known(standing).map(v -> v);
        }
    }

    /**
     * What is read at a place.
     *
     * @param factor +1, or −1 where the place's positive way is the field's negative
     */
    record Read(Place place, int factor) implements Source {
        @Override
        public Optional<Object> value(Map<String, Double> readings, Standing standing) {
            return Optional.ofNullable(readings.get(place.id())).map(v -> factor * v);
        }

        @Override
        public double standardUncertainty(Standing standing) {
            return place.standardUncertainty();
        }

        @Override
        public int slope() {
            return factor;
        }

        @Override
        public String name(Function<String, String> ofReading, Standing standing) {
            return ofReading.apply(place.id());
        }
    }

    /**
     * A datum of the sheet or of a tool.
     *
     * @param key names it as a source of doubt
     * @param value in the record's unit; empty where the sheet does not know
     * @param doubt standard uncertainty in the record's unit
     */
    record Datum(
            String key, FieldUnit unit, Function<Standing, Optional<Double>> value, ToDoubleFunction<Standing> doubt)
            implements Given {
        @Override
        public Optional<Double> known(Standing standing) {
            return value.apply(standing);
        }

        @Override
        public double standardUncertainty(Standing standing) {
            return unit.toCore(doubt.applyAsDouble(standing));
        }

        @Override
        public String name(Function<String, String> ofReading, Standing standing) {
            return "sheet." + key;
        }
    }

    /** A slope of the bay's floor: along the vehicle, or across. */
    record Bay(boolean pitch) implements Given {
        @Override
        public String key() {
            return pitch ? "floorPitch" : "floorRoll";
        }

        @Override
        public FieldUnit unit() {
            return FieldUnit.ANGLE;
        }

        @Override
        public Optional<Double> known(Standing standing) {
            return Optional.of(Math.toDegrees(
                    pitch ? standing.floor().pitch() : standing.floor().roll()));
        }

        @Override
        public double standardUncertainty(Standing standing) {
            return standing.floor().standardUncertainty();
        }

        @Override
        public String name(Function<String, String> ofReading, Standing standing) {
            return (pitch ? "bay.pitch." : "bay.roll.") + standing.floor().bay();
        }
    }

    /** A figure of the same state that a step before this one came to; where none did, the field keeps its default. */
    record Own(FigureId figure) implements Given {
        @Override
        public String key() {
            return figure.key();
        }

        @Override
        public FieldUnit unit() {
            return figure.measurand().quantity() == Quantity.LENGTH ? FieldUnit.LENGTH : FieldUnit.ANGLE;
        }

        @Override
        public Optional<Double> known(Standing standing) {
            return Optional.ofNullable(standing.own().get(figure)).map(e -> unit().toRecord(e.value()));
        }

        /** What that figure's sources of doubt do to it, rad or mm by name: they are the same sources here. */
        Map<String, Double> parts(Standing standing) {
            Estimate found = standing.own().get(figure);
            return found == null ? Map.of() : found.budget().parts();
        }

        @Override
        public double standardUncertainty(Standing standing) {
            Estimate found = standing.own().get(figure);
            return found == null ? 0 : found.standardUncertainty();
        }

        @Override
        public String name(Function<String, String> ofReading, Standing standing) {
            return "own." + figure.key();
        }
    }

    /** A word that is chosen when the instrument is set up; exact, and nothing until it is chosen. */
    record Chosen(Choice choice) implements Source {
        @Override
        public Optional<Object> value(Map<String, Double> readings, Standing standing) {
            return choice.in(standing).map(option -> option);
        }

        @Override
        public double standardUncertainty(Standing standing) {
            return 0;
        }

        @Override
        public String name(Function<String, String> ofReading, Standing standing) {
            return "chosen." + choice.id();
        }
    }

    /** A word or number that the procedure fixes; exact. */
    record Fixed(Object value) implements Source {
        @Override
        public Optional<Object> value(Map<String, Double> readings, Standing standing) {
            return Optional.of(value);
        }

        @Override
        public double standardUncertainty(Standing standing) {
            return 0;
        }

        @Override
        public String name(Function<String, String> ofReading, Standing standing) {
            return "fixed";
        }
    }

    /**
     * A field that keeps its default because the set-up sees to it, as well as it can.
     *
     * @param key names it as a source of doubt, common to all that is read in this set-up
     * @param standardUncertainty mm or rad
     */
    record SetUp(String key, double standardUncertainty) implements Source {
        @Override
        public Optional<Object> value(Map<String, Double> readings, Standing standing) {
            return Optional.empty();
        }

        @Override
        public double standardUncertainty(Standing standing) {
            return standardUncertainty;
        }

        @Override
        public String name(Function<String, String> ofReading, Standing standing) {
            return "setUp." + key;
        }
    }
}
