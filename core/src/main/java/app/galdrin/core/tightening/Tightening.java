package app.galdrin.core.tightening;

import app.galdrin.core.Keyed;
import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.Fastener;
import app.galdrin.core.spec.FastenerUse;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.StepKind;
import app.galdrin.core.task.TaskFaultCode;
import app.galdrin.core.task.TaskFaults;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import tools.jackson.core.JsonGenerator;

/**
 * Final tightening of fasteners to the torque of the maker's data.
 *
 * @param uses what the fasteners hold, in the order in which they are tightened; each once
 */
public record Tightening(String id, List<FastenerUse> uses) implements Step {

    public static final String KIND = "tightening";

    /** Line on which the wrench is named. */
    public static final String WRENCH = "wrench";

    /** Line that says whether the calibration of the wrench is in date. */
    public static final String CALIBRATION = "calibration";

    private static final int LONGEST_WRENCH = 60;

    /** N·m: more than any fastener of a road vehicle takes. */
    private static final double MOST_TORQUE = 3000;

    private static final double MOST_ANGLE = 720;

    public Tightening {
        uses = List.copyOf(uses);
    }

    /** State of the calibration of a wrench. */
    public enum Calibration implements Keyed {
        IN_DATE("inDate"),
        OUT_OF_DATE("outOfDate"),
        NOT_KNOWN("notKnown");

        private final String key;

        Calibration(String key) {
            this.key = key;
        }

        @Override
        public String key() {
            return key;
        }
    }

    /**
     * A fastener of a vehicle that is asked for, and its lines.
     *
     * @param key what it holds, and its number where the sheet has several that hold such a part
     */
    public record AskedFastener(String key, Fastener fastener) {

        /** Returns the line of its torque. */
        public String torque() {
            return key + ".torque";
        }

        /** Returns the line that says that its torque is nowhere to be found; the instructor is called. */
        public String notConfirmed() {
            return key + ".notConfirmed";
        }

        /** Returns the line of the angle that it is turned on by after the torque. */
        public String angle() {
            return key + ".angle";
        }

        /** Returns the line that says that a new one was fitted. */
        public String renewed() {
            return key + ".renewed";
        }

        private List<Line> lines() {
            List<Line> lines = new ArrayList<>();
            lines.add(Line.of(torque(), new AnswerType.Amount(Quantity.TORQUE, Unit.NEWTON_METRE, 0, MOST_TORQUE))
                    .guarding(true, false)
                    .unless(notConfirmed(), AnswerType.Tick.DONE));
            lines.add(Line.tick(notConfirmed(), false, false).optionally().calling(AnswerType.Tick.DONE));
            if (fastener.angle().isPresent()) {
                lines.add(Line.of(angle(), new AnswerType.Amount(Quantity.ANGLE, Unit.DEG, 0, MOST_ANGLE))
                        .guarding(true, false)
                        .unless(notConfirmed(), AnswerType.Tick.DONE));
            }
            if (fastener.singleUse()) {
                lines.add(Line.tick(renewed(), true, false));
            }
            return lines;
        }
    }

    /** Returns the fasteners of a vehicle that it asks for. */
    public List<AskedFastener> asked(SpecificationSheet sheet) {
        List<AskedFastener> asked = new ArrayList<>();
        for (FastenerUse use : uses) {
            List<Fastener> found = sheet.fasteners(use);
            for (int i = 0; i < found.size(); i++) {
                asked.add(new AskedFastener(found.size() == 1 ? use.key() : use.key() + (i + 1), found.get(i)));
            }
        }
        return asked;
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public List<Line> lines(SpecificationSheet sheet) {
        Stream<Line> wrench = Stream.of(
                Line.of(WRENCH, new AnswerType.ShortText(LONGEST_WRENCH)),
                Line.of(CALIBRATION, AnswerType.Choice.of(CALIBRATION, Calibration.values()))
                        .calling(Calibration.OUT_OF_DATE.key(), Calibration.NOT_KNOWN.key()));
        return Stream.concat(wrench, asked(sheet).stream().flatMap(one -> one.lines().stream()))
                .toList();
    }

    @Override
    public Set<Aspect> aspects() {
        return EnumSet.of(Aspect.CRITICAL, Aspect.DONE);
    }

    @Override
    public Criterion usualCriterion(Aspect aspect, Assignment assignment) {
        boolean critical = aspect == Aspect.CRITICAL;
        return new Criterion(new Criterion.Id(id, aspect), critical ? 10 : 5, critical, Map.of());
    }

    @Override
    public void check(Practical practical, String at, TaskFaults faults) {
        if (uses.isEmpty()) {
            faults.add(at + ".uses", TaskFaultCode.MISSING, "");
        }
    }

    @Override
    public void check(Practical practical, SpecificationSheet sheet, String at, TaskFaults faults) {
        uses.stream()
                .filter(use -> sheet.fasteners(use).isEmpty())
                .forEach(use -> faults.add(at + ".uses", TaskFaultCode.NO_FASTENER, use.key()));
    }

    @Override
    public void write(JsonGenerator json) {
        json.writeArrayPropertyStart("uses");
        uses.forEach(use -> json.writeString(use.key()));
        json.writeEndArray();
    }

    private static Tightening read(String id, JsonObject json, TaskFaults faults) {
        faults.only(json, Set.of("id", "kind", "uses"));
        return new Tightening(id, faults.words(json, "uses", FastenerUse.values()));
    }

    /** Kind in documents. */
    @AutoService(StepKind.class)
    public static final class Kind extends StepKind {
        public Kind() {
            super(KIND, Tightening::read);
        }
    }
}
