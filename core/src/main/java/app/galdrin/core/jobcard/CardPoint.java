package app.galdrin.core.jobcard;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.form.FormAnswers;
import app.galdrin.core.form.FormPoint;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.task.AnswerKind;
import java.util.List;
import java.util.Optional;

/** Points of a job card as the job is taken in: the vehicle, and of each angle whether it has to be read for this repair. */
public enum CardPoint implements FormPoint {
    REGISTRATION("registration", new AnswerType.ShortText(20)),
    NUMBER("vehicleNumber", new AnswerType.VehicleNumber()),
    MILEAGE("mileage", AnswerKind.number(Unit.TIMES, 0, 999_999)),
    SEEN("asSeen", new AnswerType.ShortText(200)) {
        @Override
        public boolean isOptional() {
            return true;
        }
    },
    TOE(Angle.TOE),
    CAMBER(Angle.CAMBER),
    CASTER(Angle.CASTER),
    KPI(Angle.KPI),
    TURN_OUT(Angle.TURN_OUT),
    SETBACK(Angle.SETBACK),
    REAR_TOE(Angle.REAR_TOE),
    REAR_CAMBER(Angle.REAR_CAMBER),
    THRUST(Angle.THRUST);

    private static final String YES = "yes";
    private static final String NO = "no";

    private final String key;
    private final AnswerType asks;
    private final Optional<Angle> angle;

    CardPoint(String key, AnswerType asks) {
        this.key = key;
        this.asks = asks;
        this.angle = Optional.empty();
    }

    CardPoint(Angle angle) {
        this.key = "read." + angle.key();
        this.asks = new AnswerType.Choice("form.read", List.of("yes", "no"));
        this.angle = Optional.of(angle);
    }

    @Override
    public String key() {
        return key;
    }

    @Override
    public AnswerType asks() {
        return asks;
    }

    @Override
    public List<String> right(FormAnswers given) {
        Repair repair = ((RepairedVehicle) given.form()).repair();
        return angle.map(read -> List.of(repair.needs(read) ? YES : NO)).orElse(List.of());
    }

    /** An angle that is read without need costs time and does no harm: it keeps half. */
    @Override
    public Evidence evidence(FormAnswers given) {
        Evidence evidence = FormPoint.super.evidence(given);
        boolean isNeedless =
                angle.isPresent() && given.isAt(this, YES) && right(given).contains(NO);
        return isNeedless
                ? new Evidence.Answer(key, "form.read", Optional.of(YES), NO, "readNeedlessly", 0.5)
                : evidence;
    }

    @Override
    public String remark(FormAnswers given) {
        return "readNeeded";
    }
}
