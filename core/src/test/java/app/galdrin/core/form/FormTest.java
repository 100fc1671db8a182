package app.galdrin.core.form;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.StepTrial;
import app.galdrin.core.Vehicles;
import app.galdrin.core.condition.Joint;
import app.galdrin.core.draft.TaskEditor;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.simulated.TryOut;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Suspension;
import app.galdrin.core.standing.StandingPoint;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Step;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Forms from the bench to their marks: standing right, condition, job card, road test. */
class FormTest {

    private static StepTrial form(String kind, String... fields) {
        return new StepTrial(Vehicles.van(), kind).set(fields);
    }

    /** Writes lines as {@code brake=on}. */
    private static StepTrial written(StepTrial form, String lines) {
        Stream.of(lines.split("; ")).filter(line -> !line.isBlank()).forEach(line -> {
            String[] parts = line.strip().split("=", 2);
            form.write(parts[0], parts[1]);
        });
        return form;
    }

    private static Optional<Evidence> at(StepTrial form, String point) {
        return form.step().aspects().stream()
                .flatMap(aspect -> form.evidence(aspect.key()).stream())
                .filter(e -> e instanceof Evidence.Answer answer
                        ? answer.asked().equals(point)
                        : ((Evidence.Item) e).item().equals(point))
                .findFirst();
    }

    /** What is right may follow from the task, the vehicle and the other points; what is needless is not marked. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "standing|underWheels=plates; brake=on|brake|1|''",
                "standing|underWheels=plates; brake=off|brake|0|brakeOnPlates",
                "standing|underWheels=bareFloor; brake=off|brake|1|''",
                "standing|underWheels=bareFloor; brake=on|brake|0|brakeOnFloor",
                "standing|underWheels=bareFloor; brake=offInGear|brake|0|brakeOnFloor",
                "standing|underWheels=plates; ontoPlates=driven|ontoPlates|0|platesSlip",
                "standing|underWheels=slipSheets; ontoPlates=driven|ontoPlates|1|''",
                "standing|underWheels=bareFloor|ontoPlates|-1|''",
                "standing|steeringHeld=clamped|steeringHeld|1|''",
                "standing|steeringHeld=squared|steeringHeld|0|''",
                "standing|floorKnown=surveyed|floorKnown|1|''",
                "standing|floorKnown=assumed|floorKnown|0|''",
                "standing|chocked=done|chocked|1|''",
                "standing||chocked|0|''",
                "roadTest|pulls=left; crown=follows; roadDecision=handOver|roadDecision|1|''",
                "roadTest|pulls=left; crown=follows; roadDecision=backToRound|roadDecision|0|roadNoFault",
                "roadTest|pulls=left; crown=stays; roadDecision=handOver|roadDecision|0|roadCrooked",
                "roadTest|pulls=left; crown=stays; roadDecision=backToRound|roadDecision|1|''",
                "roadTest|pulls=left; crown=notTried; roadDecision=handOver|roadDecision|0|roadCrooked",
                "roadTest|pulls=left; crown=notTried|crown|0|tryTheCrown",
                "roadTest|pulls=none|crown|-1|''",
                "roadTest|wheelStands=left; wheelAngle=3; roadDecision=handOver|roadDecision|1|''",
                "roadTest|wheelStands=left; wheelAngle=4; roadDecision=handOver|roadDecision|0|roadCrooked",
                "roadTest|wheelStands=left; roadDecision=handOver|roadDecision|0|roadCrooked",
                "roadTest|wheelStands=straight; shimmy=felt; roadDecision=backToRound|roadDecision|0|roadUnsafe",
                "roadTest|shimmy=felt; roadDecision=callInstructor|roadDecision|1|''",
                "roadTest|selfReturn=leftOnly; roadDecision=handOver|roadDecision|0|roadUnsafe",
                "roadTest|driver=nobody|driver|0|notDriven",
                "roadTest|driver=instructor|driver|1|''",
                "condition|ballJoint.left=tight|ballJoint.left|1|''",
                "condition|ballJoint.left=play|ballJoint.left|0|playImagined",
                "condition|pressure.front.left=2.4|pressure.front.left|1|''",
                "condition|pressure.front.left=2|pressure.front.left|1|''",
                "jobCard|read.toe=yes|read.toe|1|''",
                "jobCard|read.toe=no|read.toe|0|readNeeded",
                "jobCard|read.kpi=yes|read.kpi|0.5|readNeedlessly",
                "jobCard|read.kpi=no|read.kpi|1|''",
                "jobCard|mileage=48213|mileage|1|''",
            })
    void eachPoint_isMarkedByWhatIsKnown(String kind, String lines, String point, double credit, String remark) {
        Optional<Evidence> evidence = at(written(form(kind), lines == null ? "" : lines), point);
        assertEquals(credit, evidence.map(Evidence::credit).orElse(-1.0));
        assertEquals(
                remark,
                evidence.filter(Evidence.Answer.class::isInstance)
                        .map(e -> ((Evidence.Answer) e).remark())
                        .orElse(""));
    }

    /** The joint that has play, and the plate, are the task's to say. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "worn=rodEnd.left|rodEnd.left=play|rodEnd.left|1|''",
                "worn=rodEnd.left|rodEnd.left=tight|rodEnd.left|0|playMissed",
                "worn=rodEnd.left|rodEnd.right=play|rodEnd.right|0|playImagined",
                "frontPressure=2.4|pressure.front.left=2.5 bar|pressure.front.left|1|''",
                "frontPressure=2.4|pressure.front.left=36.3 psi|pressure.front.left|0|pressureOff",
                "frontPressure=35 psi|pressure.front.right=2.4|pressure.front.right|1|''",
                "frontPressure=2.4|pressure.rear.left=1|pressure.rear.left|1|''",
                "rearPressure=2.4|pressure.rear.left=1|pressure.rear.left|0|pressureOff",
            })
    void theTask_saysWhatTheVehicleIsLike(String field, String lines, String point, double credit, String remark) {
        var answer = at(written(form("condition", field), lines), point).orElseThrow();
        assertEquals(credit, answer.credit());
        assertEquals(remark, answer instanceof Evidence.Answer a ? a.remark() : "");
    }

    @ParameterizedTest
    @CsvSource({
        "trackRodEnd, read.camber, no", "strut, read.camber, yes", "rearArm, read.toe, no",
        "rearArm, read.thrust, yes", "knuckle, read.kpi, yes", "steeringRack, read.turnOut, yes"
    })
    void theRepair_saysWhichAnglesAreRead(String repair, String point, String right) {
        StepTrial card = form("jobCard", "repair=" + repair, "request=It pulls to the left.");
        assertEquals(right, ((Evidence.Answer) at(card, point).orElseThrow()).right());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "condition|worn|somewhere|field.noChoice",
                "condition|frontPressure|240|bench.amount.fault",
                "condition|rearPressure|soft|bench.amount.fault",
                "jobCard|repair|wings|field.noChoice",
            })
    void whatCannotBe_isRefused(String kind, String field, String typed, String why) {
        assertEquals(why, form(kind).refused(field, typed));
    }

    /** The steps stand in the order of the work; without a fastener on the sheet nothing is tightened. */
    @Test
    void theWholeJob_goesFromTheBriefingToTheRoadTest() {
        SpecificationSheet van = Vehicles.van();
        var bare = new SpecificationSheet(van.geometry(), van.lines(), van.adjusters(), List.of());
        String all = "briefing jobCard condition standing caster camber toe work judge plan adjust tightening closing"
                + " roadTest handIn";
        for (SpecificationSheet sheet : List.of(van, bare)) {
            var steps = new TaskEditor(sheet)
                    .started(TaskStart.WHOLE_JOB, "Job", AnswerUnit.DEGREES)
                    .practical()
                    .steps();
            assertEquals(
                    sheet == van ? all : all.replace(" tightening", ""),
                    steps.stream().map(Step::id).collect(Collectors.joining(" ")));
        }
    }

    /** Nobody can know a slope from a survey that was never made. */
    @Test
    void theFloor_isMeasured_whereNobodyHasSurveyedIt() {
        StepTrial form = form("standing");
        var unsurveyed = new Assignment(form.assignment().practical(), Vehicles.van(), BayFloor.unsurveyed(3));
        assertEquals(
                List.of("measured"),
                StandingPoint.FLOOR.right(new FormAnswers(form.step(), unsurveyed, Answers.none())));
    }

    /** What calls the instructor. */
    @ParameterizedTest
    @CsvSource({
        "condition, ballJoint.left, play, tight",
        "roadTest, driver, nobody, licensed",
        "roadTest, roadDecision, callInstructor, handOver"
    })
    void someAnswers_callTheInstructor(String kind, String point, String calls, String doesNot) {
        StepTrial form = form(kind);
        var line = form.paper().line(LineKey.of(form.step().id(), point)).orElseThrow();
        assertTrue(line.calls().contains(calls));
        assertFalse(line.calls().contains(doesNot));
    }

    @Test
    void aBeamAxle_hasKingpins_andNoBallJoints() {
        SpecificationSheet van = Vehicles.van();
        var beam = new SpecificationSheet(
                van.geometry().on(Suspension.BEAM, Suspension.RIGID), van.lines(), van.adjusters(), List.of());
        assertEquals(List.of(Joint.KINGPIN, Joint.ROD_END, Joint.BEARING), Joint.all(beam));
        assertFalse(Joint.all(van).contains(Joint.KINGPIN));
        var lorry = new StepTrial(beam, "condition").set("worn=kingpin.right");
        assertEquals(List.of(), lorry.faults());
        assertEquals(List.of("unknown"), lorry.set("worn=bush.left").faults());
    }

    @ParameterizedTest
    @ValueSource(strings = {"standing", "condition", "jobCard", "roadTest"})
    void aForm_takesThePointsItIsGiven_andSimulatedPeopleFillItIn(String kind) {
        StepTrial form = form(kind);
        assertEquals(List.of(), form.faults());
        var all = ((Form) form.step()).all();
        for (FormPoint point : all) {
            form.set("point." + point.key() + "=off");
        }
        long critical = all.stream().filter(FormPoint::isCritical).count();
        assertEquals(critical, ((Form) form.step()).points().size(), "those that keep people whole stay");
        assertEquals(critical == 0, form.faults().contains("missing"));
        List.copyOf(all).forEach(point -> form.set("point." + point.key() + "=on"));
        assertEquals(all, ((Form) form.step()).points(), "in their order");
        for (Aspect aspect : form.step().aspects()) {
            assertEquals(0, form.losing(TryOut.Kind.CAREFUL, aspect.key()), aspect.key());
        }
        assertTrue(form.losing(TryOut.Kind.SLIP_PRONE, "done") > 0);
    }
}
