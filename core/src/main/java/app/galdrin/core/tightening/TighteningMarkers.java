package app.galdrin.core.tightening;

import app.galdrin.core.marking.AspectMarker;
import app.galdrin.core.marking.Case;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.spec.Fastener;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Step;
import app.galdrin.core.tightening.Tightening.AskedFastener;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Marks torques against the data of the vehicle's sheet, and the wrench. */
abstract sealed class TighteningMarkers implements AspectMarker {

    @Override
    public final String kind() {
        return Tightening.KIND;
    }

    /** Torque, angle and new parts: somebody can be hurt by each. */
    @AutoService(AspectMarker.class)
    public static final class Critical extends TighteningMarkers {

        /** Degrees by which a protractor under a wrench may be off. */
        private static final double ANGLE_WITHIN = 5;

        private static final int INCHES_A_FOOT = 12;

        @Override
        public Aspect aspect() {
            return Aspect.CRITICAL;
        }

        @Override
        public List<Evidence> evidence(Case sitting, Step step, Criterion criterion) {
            return ((Tightening) step)
                    .asked(sitting.assignment().sheet()).stream()
                            .flatMap(one -> evidence(sitting, step.id(), one).stream())
                            .toList();
        }

        private static List<Evidence> evidence(Case sitting, String step, AskedFastener one) {
            List<Evidence> evidence = new ArrayList<>();
            Optional<WrittenValue> torque = sitting.answers().at(LineKey.of(step, one.torque()));
            boolean notConfirmed =
                    sitting.answers().at(LineKey.of(step, one.notConfirmed())).isPresent();
            evidence.add(torque(one.fastener(), torque, notConfirmed));
            if (one.fastener().angle().isPresent() && !notConfirmed) {
                double right = Quantity.ANGLE.toDocument(one.fastener().angle().getAsDouble());
                evidence.add(
                        angle(one.fastener().name(), right, sitting.answers().at(LineKey.of(step, one.angle()))));
            }
            if (one.fastener().singleUse()) {
                boolean renewed =
                        sitting.answers().at(LineKey.of(step, one.renewed())).isPresent();
                evidence.add(answer(
                        one.fastener(),
                        "renewed",
                        renewed ? Optional.of("done") : Optional.empty(),
                        "done",
                        "",
                        renewed));
            }
            return evidence;
        }

        /** A torque that nobody knows is right once the instructor is called for it; a figure for it is a guess. */
        private static Evidence torque(Fastener f, Optional<WrittenValue> torque, boolean notConfirmed) {
            Optional<String> written = torque.map(WrittenValue::text);
            if (f.isUnknown()) {
                return answer(
                        f,
                        "torque",
                        notConfirmed ? Optional.of("notConfirmed") : written,
                        "notConfirmed",
                        torque.isPresent() && !notConfirmed ? "guess" : "",
                        notConfirmed);
            }
            if (notConfirmed) {
                return answer(f, "torque", Optional.of("notConfirmed"), data(f), "dataIsThere", false);
            }
            OptionalDouble value = torque.map(WrittenValue::value).orElse(OptionalDouble.empty());
            boolean met = value.isPresent() && f.isMet(value.getAsDouble());
            return answer(
                    f, "torque", written, data(f), met || value.isEmpty() ? "" : remark(f, value.getAsDouble()), met);
        }

        /** Returns the unit that was mistaken, if that explains a torque, N·m; else whether it is too low or too high. */
        private static String remark(Fastener f, double torque) {
            if (f.isMet(torque * INCHES_A_FOOT)) {
                return "inchForFoot";
            }
            if (f.isMet(torque / INCHES_A_FOOT)) {
                return "footForInch";
            }
            if (f.isMet(Unit.POUND_FOOT.convert(torque, Unit.NEWTON_METRE))) {
                return "poundFeetAsNewtonMetres";
            }
            return torque < f.least().orElse(f.most().orElse(0)) ? "tooLoose" : "tooTight";
        }

        private static Evidence angle(String fastener, double right, Optional<WrittenValue> written) {
            boolean met = written.flatMap(w -> w.value().stream().boxed().findFirst())
                    .filter(v -> Math.abs(v - right) <= ANGLE_WITHIN)
                    .isPresent();
            return new Evidence.Answer(
                    fastener,
                    "tightening.angle",
                    written.map(WrittenValue::text),
                    QuantityFormat.length(right) + Unit.DEG.symbol(),
                    "",
                    met ? 1 : 0);
        }

        private static Evidence answer(
                Fastener f, String line, Optional<String> written, String right, String remark, boolean met) {
            return new Evidence.Answer(f.name(), "tightening." + line, written, right, remark, met ? 1 : 0);
        }

        /** Returns the torque of the data in both units that are confused the most. */
        private static String data(Fastener f) {
            return Stream.of(Unit.NEWTON_METRE, Unit.POUND_FOOT)
                    .map(unit -> Stream.of(f.least(), f.most())
                                    .flatMap(end -> end.stream().boxed())
                                    .map(end -> QuantityFormat.decimal(Unit.NEWTON_METRE.convert(end, unit), 0, false))
                                    .distinct()
                                    .collect(Collectors.joining("–"))
                            + unit.symbol())
                    .collect(Collectors.joining(" / "));
        }
    }

    /** The wrench. */
    @AutoService(AspectMarker.class)
    public static final class DoneMarker extends TighteningMarkers {
        @Override
        public Aspect aspect() {
            return Aspect.DONE;
        }

        @Override
        public List<Evidence> evidence(Case sitting, Step step, Criterion criterion) {
            boolean named = sitting.answers()
                    .at(LineKey.of(step.id(), Tightening.WRENCH))
                    .isPresent();
            Optional<String> calibration = sitting.answers().text(LineKey.of(step.id(), Tightening.CALIBRATION));
            return List.of(
                    new Evidence.Item(Tightening.WRENCH, named, Optional.empty()),
                    Evidence.Answer.chosen(
                            Tightening.CALIBRATION,
                            Tightening.CALIBRATION,
                            calibration,
                            List.of(Tightening.Calibration.IN_DATE.key())));
        }
    }
}
