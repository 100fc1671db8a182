package app.galdrin.core.tightening;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.StepTrial;
import app.galdrin.core.Vehicles;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.simulated.TryOut;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.spec.Fastener;
import app.galdrin.core.spec.FastenerUse;
import app.galdrin.core.spec.SpecificationSheet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Final torque of the fasteners of a vehicle. */
class TighteningTest {

    private static final OptionalDouble NONE = OptionalDouble.empty();

    private static Fastener fastener(String name, FastenerUse use, OptionalDouble least, OptionalDouble most) {
        return new Fastener(name, Optional.of(use), Optional.of("M14 × 1.5"), least, most, NONE, false);
    }

    private static final SpecificationSheet VAN = new SpecificationSheet(
            Vehicles.van().geometry(),
            Vehicles.van().lines(),
            Vehicles.van().adjusters(),
            List.of(
                    fastener("lock nut", FastenerUse.ROD_LOCK_NUT, OptionalDouble.of(50), OptionalDouble.of(60)),
                    fastener("front cam bolt", FastenerUse.CAM_BOLT, OptionalDouble.of(120), NONE),
                    fastener("rear cam bolt", FastenerUse.CAM_BOLT, NONE, NONE),
                    new Fastener(
                            "rod end nut",
                            Optional.of(FastenerUse.ROD_END),
                            Optional.empty(),
                            OptionalDouble.of(40),
                            OptionalDouble.of(40),
                            OptionalDouble.of(Math.toRadians(90)),
                            true)));

    private static StepTrial tightening() {
        return new StepTrial(VAN, "tightening");
    }

    private static Evidence.Answer answer(StepTrial step, int at) {
        return (Evidence.Answer) step.evidence("critical").get(at);
    }

    @Test
    void aNewStep_asksForWhatTheSheetNames_andLeavesOutWhatIsUnticked() {
        StepTrial step = tightening();
        assertEquals(List.of(), step.faults());
        assertEquals(
                List.of(FastenerUse.ROD_LOCK_NUT, FastenerUse.ROD_END, FastenerUse.CAM_BOLT),
                ((Tightening) step.step()).uses());
        step.set("use.camBolt=off", "use.wheelNut=on", "use.nothing=on");
        assertEquals(
                List.of(FastenerUse.ROD_LOCK_NUT, FastenerUse.ROD_END, FastenerUse.WHEEL_NUT),
                ((Tightening) step.step()).uses());
        assertEquals(List.of("noFastener"), step.faults());
        assertEquals(
                List.of("missing"),
                step.set("use.rodLockNut=off", "use.rodEnd=off", "use.wheelNut=off")
                        .faults());
    }

    /** The unit is read, and a factor of twelve is said as such. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "rodLockNut.torque|55|1|''",
                "rodLockNut.torque|50|1|''",
                "rodLockNut.torque|40 lbf ft|1|''",
                "rodLockNut.torque|49|0|tooLoose",
                "rodLockNut.torque|61|0|tooTight",
                "rodLockNut.torque|40 lbf in|0|inchForFoot",
                "rodLockNut.torque|480 lbf ft|0|footForInch",
                "rodLockNut.torque|40|0|poundFeetAsNewtonMetres",
                "camBolt1.torque|124.8|1|''",
                "camBolt1.torque|125|0|tooTight",
                "camBolt1.torque|115.2|1|''",
                "camBolt1.torque|115|0|tooLoose",
                "camBolt2.torque|120|0|guess",
                "camBolt2.notConfirmed|done|1|''",
                "camBolt1.notConfirmed|done|0|dataIsThere",
                "rodEnd.angle|95|1|''",
                "rodEnd.angle|96|0|''",
                "rodEnd.renewed|done|1|''",
            })
    void eachAnswer_isMarkedAgainstItsData(String line, String text, double credit, String remark) {
        StepTrial step = tightening().write(line, text);
        int at =
                List.of("rodLockNut", "rodEnd.torque", "rodEnd.angle", "rodEnd.renewed", "camBolt1", "camBolt2")
                        .stream()
                        .filter(line::startsWith)
                        .findFirst()
                        .map(
                                List.of(
                                        "rodLockNut",
                                        "rodEnd.torque",
                                        "rodEnd.angle",
                                        "rodEnd.renewed",
                                        "camBolt1",
                                        "camBolt2")::indexOf)
                        .orElseThrow();
        assertEquals(credit, answer(step, at).credit());
        assertEquals(remark, answer(step, at).remark());
        assertEquals(
                1 - credit,
                tightening().write(line, text).evidence("critical").stream()
                        .filter(e -> e.credit() == 0 && !e.isUnwritten())
                        .count());
    }

    @Test
    void whatIsRight_isSaidInBothUnits() {
        assertEquals(
                "50–60\u00a0N·m / 37–44\u00a0lbf·ft", answer(tightening(), 0).right());
        assertEquals("120\u00a0N·m / 89\u00a0lbf·ft", answer(tightening(), 4).right());
        assertEquals("90°", answer(tightening(), 2).right());
    }

    /** Both together: a figure is a guess, whatever is ticked beside it says so already. */
    @Test
    void whatNobodyKnows_isDoneByCalling() {
        StepTrial step = tightening().write("camBolt2.notConfirmed", "done").write("camBolt2.torque", "120");
        assertEquals(1, answer(step, 5).credit());
        Sheet paper = step.paper();
        assertEquals(
                Set.of("done"),
                paper.line(LineKey.of("tightening", "camBolt2.notConfirmed"))
                        .orElseThrow()
                        .calls());
        assertTrue(paper.line(LineKey.of("tightening", "calibration"))
                .orElseThrow()
                .calls()
                .contains("outOfDate"));
    }

    @Test
    void aStep_isCompleteWithoutWhatIsNeedless() {
        StepTrial step = tightening();
        int open = step.progress().total();
        step.write("camBolt2.notConfirmed", "done");
        assertEquals(open - 1, step.progress().total() - step.progress().done());
    }

    @ParameterizedTest
    @CsvSource({"inDate, 1", "outOfDate, 0.5", "notKnown, 0.5"})
    void theWrench_isNamedAndInDate(String calibration, double credit) {
        StepTrial step = tightening().write("wrench", "W3").write("calibration", calibration);
        assertEquals(credit, step.marked("done").credit());
    }

    @Test
    void simulatedPeople_tightenIt() {
        assertEquals(0, tightening().losing(TryOut.Kind.CAREFUL, "critical"));
        assertEquals(0, tightening().losing(TryOut.Kind.CAREFUL, "done"));
        assertTrue(tightening().losing(TryOut.Kind.SLIP_PRONE, "critical") > 0);
    }
}
