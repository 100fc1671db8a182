package app.galdrin.core.procedure.slip;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.measure.Use;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Slips in writing figures down: minutes for decimals, marks miscounted, one unit beside another, repeats left aside. */
@AutoService(SlipList.class)
public final class WritingSlips implements SlipList {

    @Override
    public List<Slip> slips() {
        return List.of(new MinutesAsDecimals(), new MarkMiscounted(), new GapsUnconverted(), new FirstRepeatOnly());
    }

    /** 0°30′ written as 0.30, or 0.30 read as 0°30′. */
    private static final class MinutesAsDecimals implements Slip {
        private static final double MINUTES = 60;
        private static final double HUNDREDTHS = 100;

        @Override
        public String key() {
            return "minutesAsDecimals";
        }

        @Override
        public Drill drill() {
            return Drill.DEGREES_MINUTES;
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return procedure.sees().stream().anyMatch(f -> f.measurand().quantity() == Quantity.ANGLE);
        }

        @Override
        public List<Map<FigureId, Double>> altered(SlipContext setting, Map<FigureId, Double> answers) {
            return setting.unit().quantity() == Quantity.LENGTH
                    ? List.of()
                    : List.of(written(answers, MINUTES, HUNDREDTHS), written(answers, HUNDREDTHS, MINUTES));
        }

        /** Returns the figures with the part behind the degrees written in another size: minutes as tenths, or the other way round. */
        private static Map<FigureId, Double> written(Map<FigureId, Double> answers, double counted, double as) {
            Map<FigureId, Double> changed = new HashMap<>();
            answers.forEach((figure, degrees) -> {
                double size = Math.abs(degrees);
                double whole = Math.floor(size + 0.5 / counted);
                double rest = Math.rint((size - whole) * counted);
                changed.put(figure, Math.signum(degrees) * (whole + rest / as));
            });
            return changed;
        }
    }

    /** A fraction of an inch read one mark off, at one place. */
    private static final class MarkMiscounted implements Slip {
        @Override
        public String key() {
            return "markMiscounted";
        }

        @Override
        public Drill drill() {
            return Drill.READING_A_RULE;
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return procedure.walk().stream().anyMatch(MarkMiscounted::inInches);
        }

        private static boolean inInches(Place place) {
            return place.instrument().unit() == Unit.IN;
        }

        @Override
        public List<Map<String, Double>> correctedWays(SlipContext setting, Map<String, Double> readings) {
            List<Map<String, Double>> ways = new ArrayList<>();
            for (Place place : setting.procedure().walk()) {
                Double read = readings.get(place.id());
                if (read != null && inInches(place)) {
                    for (int mark : List.of(-1, 1)) {
                        Map<String, Double> way = new HashMap<>(readings);
                        way.put(
                                place.id(),
                                read + mark * setting.standing().kit().resolution(place.instrument()));
                        ways.add(way);
                    }
                }
            }
            return ways;
        }
    }

    /** Inches left in the gaps beside spacings in millimetres. */
    private static final class GapsUnconverted implements Slip {
        @Override
        public String key() {
            return "gapsUnconverted";
        }

        @Override
        public Drill drill() {
            return Drill.UNITS;
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return reads(procedure, Use.GAP) && reads(procedure, Use.SPACING);
        }

        private static boolean reads(Procedure procedure, Use use) {
            return procedure.walk().stream().anyMatch(p -> p.use() == use);
        }

        @Override
        public Optional<Map<String, Double>> misused(SlipContext setting, Map<String, Double> readings) {
            return Optional.of(
                    setting.changed(readings, (place, mm) -> place.use() == Use.GAP ? mm / Unit.IN.factor() : mm));
        }
    }

    /** First repeat used alone, the others left aside. */
    private static final class FirstRepeatOnly implements Slip {
        @Override
        public String key() {
            return "firstRepeatOnly";
        }

        @Override
        public Drill drill() {
            return Drill.REPEATS;
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return true;
        }

        @Override
        public List<Map<String, Double>> repeatsUsed(List<Map<String, Double>> readings) {
            return readings.size() > 1 ? readings.subList(0, 1) : List.of();
        }
    }
}
