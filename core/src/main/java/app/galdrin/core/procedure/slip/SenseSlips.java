package app.galdrin.core.procedure.slip;

import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import com.google.auto.service.AutoService;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Slips in saying which way a reading is meant. */
@AutoService(SlipList.class)
public final class SenseSlips implements SlipList {

    /** Its key: a sentence of its own says which way was chosen. */
    public static final String WRONG_SENSE = "wrongSense";

    @Override
    public List<Slip> slips() {
        return List.of(new WrongSense());
    }

    /** The right size with the wrong way: top in for top out, to the left for to the right. */
    private static final class WrongSense implements Slip {
        @Override
        public String key() {
            return WRONG_SENSE;
        }

        @Override
        public Drill drill() {
            return Drill.LEAN;
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return procedure.walk().stream().anyMatch(WrongSense::hasSense);
        }

        private static boolean hasSense(Place place) {
            return place.answer() instanceof SizeAndSense;
        }

        @Override
        public Optional<Map<String, Double>> corrected(SlipContext setting, Map<String, Double> readings) {
            return Optional.of(setting.changed(readings, (place, value) -> hasSense(place) ? -value : value));
        }

        /** Returns the places at which the slip is made: one alone, or wherever the same is read. */
        @Override
        public List<Set<String>> madeAt(Procedure procedure) {
            List<Place> sensed =
                    procedure.walk().stream().filter(WrongSense::hasSense).toList();
            Set<Set<String>> sets = new LinkedHashSet<>();
            sensed.forEach(place -> sets.add(Set.of(place.id())));
            sensed.forEach(place -> sets.add(sensed.stream()
                    .filter(other -> other.reading().equals(place.reading()))
                    .map(Place::id)
                    .collect(Collectors.toSet())));
            return List.copyOf(sets);
        }

        @Override
        public boolean isCommonest() {
            return true;
        }
    }
}
