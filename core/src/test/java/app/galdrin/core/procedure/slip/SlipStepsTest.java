package app.galdrin.core.procedure.slip;

import static app.galdrin.core.Vehicles.truth;
import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.Repeat;
import app.galdrin.core.procedure.WorkedRepeat;
import app.galdrin.core.record.Step;
import app.galdrin.core.task.Measure;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SlipStepsTest {

    private static final MeasuringContext BAY = new MeasuringContext(
            Vehicles.van(), new BayFloor(2, Math.toRadians(0.4), Math.toRadians(0.3), Math.toRadians(0.1)));

    /** A slip is pointed at in the steps where it is made, and in no others. */
    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = ';', textBlock = """
                    strings; toe.front.left; frontRearSwapped@toe.box.toe inchesUnconverted@toe.box.toe methodSign@toe.box.toe \
                        skewAdded@toe.box.toe skewLeftOut@toe.box.toe wrongBaseline@toe.box.toe
                    strings; totalToe.front; frontRearSwapped@toe.box.toe inchesUnconverted@toe.box.toe methodSign@toe.box.toe \
                        oneWheelForTotal@toe.total skewAdded@toe.box.toe skewLeftOut@toe.box.toe twiceOneWheel@toe.total \
                        wrongBaseline@toe.box.toe
                    longBars; totalToe.front; doublingForgotten@toe.across.total frontRearSwapped@toe.across.difference.span \
                        inchesUnconverted@toe.across.difference.span methodSign@toe.across.difference.span \
                        oneWheelForTotal@toe.across.total wrongBaseline@toe.across.total
                    outsideJig; totalToe.front; frontRearSwapped@toe.across.difference.outsideGap \
                        inchesUnconverted@toe.across.difference.outsideGap methodSign@toe.across.difference.outsideGap \
                        oneWheelForTotal@toe.across.total wrongBaseline@toe.across.total
                    flags; totalToe.front; oneWheelForTotal@toe.flags.total twiceOneWheel@toe.flags.total
                    rearString; toe.front.left; frontRearSwapped@toe.line.difference.outboard \
                        inchesUnconverted@toe.line.difference.outboard methodSign@toe.line.difference.outboard \
                        wrongBaseline@toe.rearString.toe
                    inclinometer; camber.front.left; floorIgnored@camber.inclinometer.camber floorWrongWay@camber.inclinometer.camber
                    inclinometer90; camber.front.left; floorIgnored@camber.inclinometer.camber \
                        floorWrongWay@camber.inclinometer.camber methodSign@camber.inclinometer.plumb90.in \
                        ninetyAsCamber@camber.inclinometer.plumb90.in
                    sweep90; caster.front.left; camberSignsLost@caster.sweep.shortcut factorForgotten@caster.sweep.factor \
                        floorIgnored@caster.sweep.shortcut floorWrongWay@caster.sweep.shortcut ninetyAsCamber@caster.sweep.shortcut \
                        oneAndAHalfUsed@caster.sweep.factor
                    protractor; caster.front.left; frameWrongWay@caster.protractor.caster
                    protractorKpi; kpi.front.left; frameWrongWay@kpi.protractor.kpi.left
                    """)
    void slips_areMadeAtTheirSteps(String procedure, String figure, String expected) {
        Procedure with = Procedures.of(procedure);
        FigureId asked = Vehicles.figure(figure);
        Measure measure = Measure.of("m", with, List.of(asked), 1);
        MeasuringContext standing = with.asUsual(BAY);
        WorkedRepeat worked = with.work(
                with.readings(truth("toe.front.left", 0.2, "toe.front.right", 0.1), standing),
                standing,
                new Repeat("m", 0, 1),
                measure.taught());
        List<Step> steps = worked.stepsTo(asked, measure.taught()).orElseThrow();
        assertEquals(
                expected.replaceAll(" +", " "),
                Slips.all().stream()
                        .filter(slip -> slip.concerns(with))
                        .flatMap(slip -> steps.stream()
                                .filter(step -> slip.isMadeAt(step.formula()))
                                .map(step -> slip.key() + "@" + step.formula()))
                        .distinct()
                        .sorted()
                        .collect(Collectors.joining(" ")));
    }
}
