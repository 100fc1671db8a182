package app.galdrin.core.procedure;

import app.galdrin.core.equipment.ToolLength;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.DoubtSource.Origin;
import app.galdrin.core.uncertainty.Estimate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ObjDoubleConsumer;
import java.util.function.ToDoubleFunction;
import java.util.function.UnaryOperator;

/** The origin of a record's field: how well it is known, and the sources of its uncertainty. */
public sealed interface Source {

    /**
     * The value in the record's unit, or a word; empty where there is none.
     *
     * @param readings mm or deg by place
     */
    Optional<Object> value(Map<String, Double> readings, MeasuringContext standing);

    /**
     * Passes on its shift for one standard uncertainty of each of its sources: signed, mm or rad.
     * {@code readings} are those it has its value from; {@code ofReading} turns a place into the source that this very reading is. Where
     * nothing is in doubt, {@code each} is not told anything.
     *
     * @param readings mm or deg by place
     */
    default void parts(
            Map<String, Double> readings,
            Function<Place, DoubtSource> ofReading,
            MeasuringContext standing,
            ObjDoubleConsumer<DoubtSource> each) {}

    /** The places it is read at. */
    default List<Place> places() {
        return List.of();
    }

    /** The same source, its places changed. */
    default Source at(UnaryOperator<Place> change) {
        return this;
    }

    /** Source of an input that is known beforehand; the sheet tells it where it is worked with. */
    sealed interface KnownBeforehand extends Source {
        /** Names it, in words and as a source of doubt. */
        String key();

        FieldUnit unit();

        /** The value in the record's unit; empty where it is not known. */
        Optional<Double> known(MeasuringContext standing);

        @Override
        default Optional<Object> value(Map<String, Double> readings, MeasuringContext standing) {
            return known(standing).map(v -> v);
        }
    }

    /**
     * Reading at a place.
     *
     * @param factor +1, or −1 where the place's positive way is the field's negative
     */
    record PlaceReading(Place place, int factor) implements Source {
        @Override
        public Optional<Object> value(Map<String, Double> readings, MeasuringContext standing) {
            return Optional.ofNullable(readings.get(place.id())).map(v -> factor * place.corrected(v, standing));
        }

        @Override
        public void parts(
                Map<String, Double> readings,
                Function<Place, DoubtSource> ofReading,
                MeasuringContext standing,
                ObjDoubleConsumer<DoubtSource> each) {
            place.parts(ofReading.apply(place), factor, standing, each);
        }

        @Override
        public List<Place> places() {
            return List.of(place);
        }

        @Override
        public PlaceReading at(UnaryOperator<Place> change) {
            return new PlaceReading(change.apply(place), factor);
        }
    }

    /**
     * Reading of a gauge that shows 90 at plumb: its distance from 90, with the direction in which the top leans.
     *
     * @param asShown whether the kind takes what is shown, with the way as a word beside it; else the lean itself
     */
    record FromPlumb(Place place, boolean asShown) implements Source {
        /** Reading of such a gauge at plumb, deg. */
        public static final double UPRIGHT = 90;

        @Override
        public Optional<Object> value(Map<String, Double> readings, MeasuringContext standing) {
            return Optional.ofNullable(readings.get(place.id())).map(v -> {
                double shown = place.corrected(Math.abs(v), standing);
                return asShown ? shown : Math.signum(v) * Math.abs(UPRIGHT - shown);
            });
        }

        @Override
        public void parts(
                Map<String, Double> readings,
                Function<Place, DoubtSource> ofReading,
                MeasuringContext standing,
                ObjDoubleConsumer<DoubtSource> each) {
            double shown = readings.getOrDefault(place.id(), 0.0);
            double way = asShown ? Math.signum(shown) : Math.signum(Math.abs(shown) - UPRIGHT);
            place.parts(ofReading.apply(place), way, standing, each);
        }

        @Override
        public List<Place> places() {
            return List.of(place);
        }

        @Override
        public FromPlumb at(UnaryOperator<Place> change) {
            return new FromPlumb(change.apply(place), asShown);
        }
    }

    /** The way that was chosen at a place, as a word of the record; exact. */
    record SenseWord(Place place, String positive, String negative) implements Source {
        @Override
        public Optional<Object> value(Map<String, Double> readings, MeasuringContext standing) {
            return Optional.ofNullable(readings.get(place.id())).map(v -> v < 0 ? negative : positive);
        }

        @Override
        public List<Place> places() {
            return List.of(place);
        }

        @Override
        public SenseWord at(UnaryOperator<Place> change) {
            return new SenseWord(change.apply(place), positive, negative);
        }
    }

    /** A reading that the set-up goes into as well: what repeats in the same set-up don't average. */
    record ReadingWithSetup(Source reading, SetUp setUp) implements Source {
        @Override
        public Optional<Object> value(Map<String, Double> readings, MeasuringContext standing) {
            return reading.value(readings, standing);
        }

        @Override
        public void parts(
                Map<String, Double> readings,
                Function<Place, DoubtSource> ofReading,
                MeasuringContext standing,
                ObjDoubleConsumer<DoubtSource> each) {
            reading.parts(readings, ofReading, standing, each);
            setUp.parts(readings, ofReading, standing, each);
        }

        @Override
        public List<Place> places() {
            return reading.places();
        }

        @Override
        public ReadingWithSetup at(UnaryOperator<Place> change) {
            return new ReadingWithSetup(reading.at(change), setUp);
        }
    }

    /**
     * Length that is read on the front one of a pair and taken for the rear one, less what the workshop knows them to differ.
     *
     * @param pair key of the kind of equipment
     * @param unknown how far they can differ where nobody has measured it
     */
    record PairedReading(PlaceReading front, String pair, SetUp unknown) implements Source {
        @Override
        public Optional<Object> value(Map<String, Double> readings, MeasuringContext standing) {
            double apart = standing.kit().apart(pair);
            return front.value(readings, standing).map(read -> (double) read + apart);
        }

        @Override
        public void parts(
                Map<String, Double> readings,
                Function<Place, DoubtSource> ofReading,
                MeasuringContext standing,
                ObjDoubleConsumer<DoubtSource> each) {
            front.parts(readings, ofReading, standing, each);
            if (!standing.kit().hasPassedOn(pair, each)) {
                unknown.parts(readings, ofReading, standing, each);
            }
        }

        @Override
        public List<Place> places() {
            return front.places();
        }

        @Override
        public PairedReading at(UnaryOperator<Place> change) {
            return new PairedReading(front.at(change), pair, unknown);
        }
    }

    /** The mean of several places, such as a gauge read again end for end. */
    record Mean(List<PlaceReading> reads) implements Source {
        public Mean {
            reads = List.copyOf(reads);
        }

        @Override
        public Optional<Object> value(Map<String, Double> readings, MeasuringContext standing) {
            double sum = 0;
            for (PlaceReading read : reads) {
                Double at = readings.get(read.place().id());
                if (at == null) {
                    return Optional.empty();
                }
                sum += read.factor() * read.place().corrected(at, standing);
            }
            return Optional.of(sum / reads.size());
        }

        @Override
        public void parts(
                Map<String, Double> readings,
                Function<Place, DoubtSource> ofReading,
                MeasuringContext standing,
                ObjDoubleConsumer<DoubtSource> each) {
            for (PlaceReading read : reads) {
                read.parts(readings, ofReading, standing, (name, part) -> each.accept(name, part / reads.size()));
            }
        }

        @Override
        public List<Place> places() {
            return reads.stream().map(PlaceReading::place).toList();
        }

        @Override
        public Mean at(UnaryOperator<Place> change) {
            return new Mean(reads.stream().map(r -> r.at(change)).toList());
        }
    }

    /**
     * A datum of the sheet.
     *
     * @param key names it as a source of doubt
     * @param value in the record's unit; empty where the sheet does not know
     * @param doubt standard uncertainty in the record's unit
     * @param source as its doubt comes from it
     */
    record Datum(
            String key,
            FieldUnit unit,
            Function<MeasuringContext, Optional<Double>> value,
            ToDoubleFunction<MeasuringContext> doubt,
            DoubtSource source)
            implements KnownBeforehand {
        /** Creates it with its usual source of uncertainty. */
        public Datum(
                String key,
                FieldUnit unit,
                Function<MeasuringContext, Optional<Double>> value,
                ToDoubleFunction<MeasuringContext> doubt) {
            this(key, unit, value, doubt, DoubtSource.shared(Origin.SHEET, "sheet." + key));
        }

        @Override
        public Optional<Double> known(MeasuringContext standing) {
            return value.apply(standing);
        }

        @Override
        public void parts(
                Map<String, Double> readings,
                Function<Place, DoubtSource> ofReading,
                MeasuringContext standing,
                ObjDoubleConsumer<DoubtSource> each) {
            each.accept(source, unit.toCore(doubt.applyAsDouble(standing)));
        }
    }

    /** A length of the equipment. */
    record ToolDatum(ToolLength length) implements KnownBeforehand {
        @Override
        public String key() {
            return length.key();
        }

        @Override
        public FieldUnit unit() {
            return FieldUnit.LENGTH;
        }

        @Override
        public Optional<Double> known(MeasuringContext standing) {
            return Optional.of(standing.kit().length(length));
        }

        @Override
        public void parts(
                Map<String, Double> readings,
                Function<Place, DoubtSource> ofReading,
                MeasuringContext standing,
                ObjDoubleConsumer<DoubtSource> each) {
            standing.kit().parts(length, each);
        }
    }

    /** Input that is used only where the readings do not tell it themselves. */
    record Spare(Datum datum) implements Source {
        @Override
        public Optional<Object> value(Map<String, Double> readings, MeasuringContext standing) {
            return datum.value(readings, standing);
        }

        @Override
        public void parts(
                Map<String, Double> readings,
                Function<Place, DoubtSource> ofReading,
                MeasuringContext standing,
                ObjDoubleConsumer<DoubtSource> each) {
            datum.parts(readings, ofReading, standing, each);
        }
    }

    /** A slope of the bay's floor: along the vehicle, or across. */
    record Bay(BayFloor.Slope slope) implements KnownBeforehand {
        @Override
        public String key() {
            return slope.key();
        }

        @Override
        public FieldUnit unit() {
            return FieldUnit.ANGLE;
        }

        @Override
        public Optional<Double> known(MeasuringContext standing) {
            BayFloor floor = standing.floor();
            return floor.isKnown() ? Optional.of(unit().toRecord(floor.of(slope))) : Optional.empty();
        }

        @Override
        public void parts(
                Map<String, Double> readings,
                Function<Place, DoubtSource> ofReading,
                MeasuringContext standing,
                ObjDoubleConsumer<DoubtSource> each) {
            BayFloor floor = standing.floor();
            each.accept(floor.source(slope), floor.standardUncertainty());
        }
    }

    /** A figure of the same state that a step before this one came to; where none did, the field keeps its default. */
    record EarlierFigure(FigureId figure) implements KnownBeforehand {
        @Override
        public String key() {
            return figure.key();
        }

        @Override
        public FieldUnit unit() {
            return FieldUnit.of(figure.measurand().quantity());
        }

        @Override
        public Optional<Double> known(MeasuringContext standing) {
            return Optional.ofNullable(standing.own().get(figure)).map(e -> unit().toRecord(e.value()));
        }

        /**
         * Passes on that figure's own sources under their own names: they are the same sources here.
         *
         * @param readings mm or deg by place
         */
        @Override
        public void parts(
                Map<String, Double> readings,
                Function<Place, DoubtSource> ofReading,
                MeasuringContext standing,
                ObjDoubleConsumer<DoubtSource> each) {
            Estimate found = standing.own().get(figure);
            if (found != null) {
                found.budget().forEach(each);
            }
        }
    }

    /** A word that is chosen when the instrument is set up; exact, and nothing until it is chosen. */
    record ChosenWord(Choice choice) implements Source {
        @Override
        public Optional<Object> value(Map<String, Double> readings, MeasuringContext standing) {
            return choice.in(standing).map(option -> option);
        }
    }

    /** A word or number that the procedure fixes; exact. */
    record Constant(Object value) implements Source {
        @Override
        public Optional<Object> value(Map<String, Double> readings, MeasuringContext standing) {
            return Optional.of(value);
        }
    }

    /**
     * A field that keeps its default because the set-up sees to it, as well as it can.
     *
     * @param key names it as a source of doubt, common to all that is read in this set-up
     * @param standardUncertainty mm or rad
     * @param source as its doubt comes from it
     */
    record SetUp(String key, double standardUncertainty, DoubtSource source) implements Source {
        /** Creates it with its usual source of uncertainty. */
        public SetUp(String key, double standardUncertainty) {
            this(key, standardUncertainty, DoubtSource.shared(Origin.SET_UP, "setUp." + key));
        }

        @Override
        public Optional<Object> value(Map<String, Double> readings, MeasuringContext standing) {
            return Optional.empty();
        }

        @Override
        public void parts(
                Map<String, Double> readings,
                Function<Place, DoubtSource> ofReading,
                MeasuringContext standing,
                ObjDoubleConsumer<DoubtSource> each) {
            each.accept(source, standardUncertainty);
        }
    }
}
