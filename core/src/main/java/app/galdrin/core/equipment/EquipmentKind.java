package app.galdrin.core.equipment;

import app.galdrin.core.Keyed;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.Use;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Kind of equipment: an instrument that is read, something of a known length that is laid on, or both.
 *
 * @param key its name in the database and the end of message keys
 * @param reads the instrument of the catalogue whose scale it has; empty where it is read with another
 * @param length what has to be known of it; empty where its readings are worked without
 */
public record EquipmentKind(String key, Optional<CatalogueInstrument> reads, Optional<ToolLength> length)
        implements Keyed {

    /** The two battens that strings are hooked into: what the notches of the rear one are farther apart than those of the front one counts. */
    public static final String BATTENS = "battens";

    private static final List<EquipmentKind> ALL = Stream.of(
                    Stream.of(CatalogueInstrument.values()).map(CatalogueInstrument::key),
                    ToolLength.kinds(),
                    Stream.of(BATTENS))
            .flatMap(keys -> keys)
            .distinct()
            .map(EquipmentKind::of)
            .toList();

    private static EquipmentKind of(String key) {
        return new EquipmentKind(key, Keyed.find(CatalogueInstrument.values(), key), ToolLength.ofKind(key));
    }

    /** Returns whether it is a pair that should be alike: its offset is what the rear one is larger. */
    public boolean isPair() {
        return key.equals(BATTENS);
    }

    /** Returns every kind: what is read first, in the order of the catalogue. */
    public static List<EquipmentKind> all() {
        return ALL;
    }

    /** Returns the kinds that most workshops have, for every use the usual one. */
    public static List<EquipmentKind> usual() {
        Stream<EquipmentKind> read = Stream.of(Use.values()).map(use -> of(CatalogueInstrument.usualFor(use)));
        return Stream.concat(read, ALL.stream().filter(kind -> kind.length().isPresent()))
                .distinct()
                .toList();
    }

    /** Returns the kind of that name. */
    public static Optional<EquipmentKind> named(String key) {
        return Keyed.find(ALL, key);
    }

    /** Returns the kind that has a length. */
    public static EquipmentKind of(ToolLength length) {
        return named(length.kind()).orElseThrow();
    }

    /** Returns the kind of an instrument that is read. */
    public static EquipmentKind of(CatalogueInstrument instrument) {
        return named(instrument.key()).orElseThrow();
    }
}
