package app.galdrin.web.marksheet;

import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.DoubtShare;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.FigureValue;
import app.galdrin.core.marking.IntermediateMark;
import app.galdrin.core.marking.Lack;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MatchedReason;
import app.galdrin.core.marking.PlannedMove;
import app.galdrin.core.marking.ReadingEvidence;
import app.galdrin.core.marking.ThrustLine;
import app.galdrin.core.marking.WorkingEvidence;
import app.galdrin.core.procedure.PlaceId;
import app.galdrin.core.procedure.paper.Intermediate;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.record.Formula;
import app.galdrin.core.record.Step;
import app.galdrin.core.reference.ReferencePart;
import app.galdrin.core.sitting.MissingReading;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Direction;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SheetScale;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Judge.Verdict;
import app.galdrin.core.task.Plan.Instead;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Evidence of a mark is read as it was stored, every kind of it. */
class EvidenceJsonTest {

    private static final FigureId TOE = FigureId.parse("toe.front.left").orElseThrow();
    private static final FigureValue OWN = new FigureValue(0.004, 0.0003);
    private static final Limits ONE_SIDED =
            new Limits(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.of(0.002));

    private static final List<Evidence> EVERY_KIND = List.of(
            new Evidence.MissingEntry(Lack.TARGET, ""),
            new Evidence.Item("stands", true, Optional.of("chocks")),
            new Evidence.GivenReason(
                    "boots", Optional.of("it falls"), List.of(new MatchedReason(List.of("falls", "drops"), true))),
            new Evidence.Answer("lockNut", "", Optional.of("9 N·m"), "50–60 N·m", "inchForFoot", 0),
            new ReadingEvidence(
                    TOE,
                    OWN,
                    OWN,
                    new Band(0.001, 0.003, true),
                    0.0008,
                    2,
                    3,
                    0.5,
                    Optional.of(new DoubtShare("rim", 0.9)),
                    List.of(Set.of("methodSign")),
                    true,
                    List.of(new PlaceId("inclinometer", "fl.gauge")),
                    List.of(new ReferencePart(ReferencePart.Kind.APPRENTICE, "a sheet", 0.004, 0.001, 0.5))),
            new Evidence.Repeats(TOE, List.of(0.004, 0.005), 0.001, new Band(0.001, 0.003), 1),
            new WorkingEvidence(
                    TOE, "toe", AnswerUnit.DEGREES_MINUTES, "solved", 0.23, 0.3, 0.01, 0.25, List.of(), true),
            new WorkingEvidence(
                    TOE,
                    "toe",
                    AnswerUnit.DEGREES,
                    "solved",
                    0.23,
                    0.3,
                    0.01,
                    0.5,
                    List.of(),
                    false,
                    List.of(new IntermediateMark(Intermediate.SKEW_LEFT, 0.1, Optional.of(0.17), 0.01, 0)),
                    Optional.of(0.3),
                    Optional.of(0.24),
                    List.of(new MissingReading("strings", "hubGap.fl", 2)),
                    List.of(
                            List.of(),
                            List.of(Step.of(Formula.of("toe", Formula.Operation.SKEW, Formula.Operation.DIFFERENCE))
                                    .with("rearGap", FieldUnit.LENGTH, 182.5)
                                    .with("skew", FieldUnit.ANGLE, -0.0004)
                                    .gives("toe", FieldUnit.ANGLE, 0.004)))),
            new Evidence.Target(
                    "toe", "strings", "wheels.fl.frontGap", Optional.of("wheels.fl.rearGap"), -0.29, 0.3, 0.5),
            new Evidence.Target("camber", "inclinometer", "fl.gauge", Optional.empty(), -0.4, -0.4, 0.05),
            new Evidence.JudgedFigure(
                    TOE,
                    OWN,
                    ONE_SIDED,
                    DecisionRule.GUARDED,
                    Zone.OUTSIDE,
                    Optional.of(new SheetScale.DisplayedFigure(AnswerUnit.DEGREES, 0.23, 0.034)),
                    Verdict.TOO_CLOSE,
                    Set.of(Verdict.OUTSIDE),
                    List.of(Set.of("limitSignLost")),
                    true,
                    Optional.of(new ThrustLine(0.003, Optional.of(-0.05)))),
            new Evidence.TimeTaken(60, 71.5, new Band(0, 30)),
            new Evidence.FigureComparison(
                    TOE, "plates", "strings", 0.002, 0.0015, Judge.Agreement.AGREE, Judge.Agreement.DISAGREE),
            new Evidence.CanBeAdjusted("toe.front", Adjustable.YES, Adjustable.WITH_ADDED_PARTS),
            new Evidence.Effect(
                    TOE,
                    OWN,
                    Zone.OUTSIDE,
                    0.001,
                    ONE_SIDED,
                    List.of(new PlannedMove("rod.front.left", "turn", Direction.SHORTEN, 0.5)),
                    true,
                    0.5,
                    List.of(Set.of("wrongWay"), Set.of("wrongLinkage")),
                    Optional.of(new ThrustLine(-0.003, Optional.empty()))),
            new Evidence.Move(
                    "rod.front.left",
                    "rod",
                    "turn",
                    Direction.LENGTHEN,
                    0.75,
                    Direction.SHORTEN,
                    Optional.of(0.5),
                    0.25,
                    true,
                    0,
                    Optional.of("wrongWay")),
            new Evidence.Sequence(2, "rod.front.left", "camber.front.left"),
            new Evidence.NoMove("caster.front", Instead.NOTHING, Set.of(Instead.LOOK_FOR_THE_PART)),
            new Evidence.AsLeft(
                    TOE,
                    OWN,
                    ONE_SIDED,
                    DecisionRule.SIMPLE,
                    Zone.DOUBT_INSIDE,
                    false,
                    true,
                    true,
                    Optional.empty(),
                    List.of(new ReferencePart(ReferencePart.Kind.MOVE, "a state", 0.004, 0.001, 1))),
            new Evidence.NotAdjustable(TOE, OWN, ONE_SIDED, Zone.OUTSIDE, true, false));

    @Test
    void everyKindOfEvidence_isReadAsItWasStored() {
        assertEquals(
                Arrays.stream(Evidence.class.getPermittedSubclasses()).collect(Collectors.toSet()),
                EVERY_KIND.stream().map(Object::getClass).collect(Collectors.toSet()),
                "each kind stands here");
        var line = new MarkLine(
                new Criterion.Id("work", Aspect.WORKING),
                20,
                true,
                0.125,
                new BigDecimal("2.5"),
                EVERY_KIND,
                Optional.of(new MarkLine.Override(new BigDecimal("7.5"), "seen at the bay")));
        var json = new EvidenceJson();
        MarkLine read = json.toLine(json.toRow(line, 3));
        assertEquals(line, read);
        assertEquals(operations(line), operations(read), "by which a slip finds its step");
        assertEquals(3, json.toRow(line, 3).ordinal());
    }

    private static List<Formula.Operation> operations(MarkLine line) {
        return line.evidence().stream()
                .filter(WorkingEvidence.class::isInstance)
                .flatMap(e -> ((WorkingEvidence) e).steps().stream())
                .flatMap(List::stream)
                .flatMap(step -> step.formula().operations().stream())
                .toList();
    }
}
