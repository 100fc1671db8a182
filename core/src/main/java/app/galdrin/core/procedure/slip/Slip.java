package app.galdrin.core.procedure.slip;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.record.Formula;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A mistake that people make and the marker knows by name: what it does to readings before they are worked, or to figures after.
 * Readings are mm or deg by place; answers are in the unit that was asked for, by figure.
 */
public interface Slip {

    /** The end of its message keys. */
    String key();

    /** Returns what is practised against it. */
    Drill drill();

    /** Returns whether it is made at the steps of a working that have this formula; at no step where it is made before or after all of them. */
    default boolean isMadeAt(Formula formula) {
        return false;
    }

    /** Returns whether it can be made with this procedure. */
    boolean concerns(Procedure procedure);

    /**
     * The readings, mm or deg by place, as this slip uses them when a figure is worked; empty where it is none of readings.
     *
     * @param readings mm or deg by place
     */
    default Optional<Map<String, Double>> misused(SlipContext setting, Map<String, Double> readings) {
        return Optional.empty();
    }

    /** Returns what the readings were taken on as this slip has it, such as a floor that is taken as level; empty where it is none of that. */
    default Optional<MeasuringContext> mistaken(MeasuringContext standing) {
        return Optional.empty();
    }

    /**
     * The readings, mm or deg by place, put right, where this slip was made as they were written down.
     *
     * @param readings mm or deg by place
     */
    default Optional<Map<String, Double>> corrected(SlipContext setting, Map<String, Double> readings) {
        return Optional.empty();
    }

    /**
     * The same, mm or deg by place, where it can have been made in several ways, each by itself.
     *
     * @param readings mm or deg by place
     */
    default List<Map<String, Double>> correctedWays(SlipContext setting, Map<String, Double> readings) {
        return corrected(setting, readings).stream().toList();
    }

    /**
     * The sets of places, by id, that it can have been made at in writing readings down; where there are none it is made everywhere, or on one
     * side of the vehicle.
     */
    default List<Set<String>> madeAt(Procedure procedure) {
        return List.of();
    }

    /** Returns whether it is so common that it comes before any other misreading of the same place. */
    default boolean isCommonest() {
        return false;
    }

    /**
     * The repeats, mm or deg by place, that are used where this slip leaves some aside; empty where it uses all or there are no others.
     *
     * @param readings mm or deg by place, a map a repeat
     */
    default List<Map<String, Double>> repeatsUsed(List<Map<String, Double>> readings) {
        return List.of();
    }

    /**
     * The figures that it turns as they are read, all by one amount that nobody knows, and which way each: 1 or −1. Empty where it is none of
     * the vehicle's.
     */
    default Map<FigureId, Integer> turned() {
        return Map.of();
    }

    /** Returns whether it can only have been made on both sides of the vehicle at once. */
    default boolean ofBothSides() {
        return false;
    }

    /**
     * The answers, in the unit that was asked for, as this slip gives them, in every way it can be made; empty where it is none of
     * answers.
     *
     * @param answers by figure, in the unit that was asked for
     */
    default List<Map<FigureId, Double>> altered(SlipContext setting, Map<FigureId, Double> answers) {
        return List.of();
    }
}
