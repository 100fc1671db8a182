package app.galdrin.web.words;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Keyed;
import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.answer.Sense;
import app.galdrin.core.condition.ConditionPoint;
import app.galdrin.core.condition.JointPoint;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.FigurePosition;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.form.FormPoint;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.jobcard.CardPoint;
import app.galdrin.core.jobcard.Repair;
import app.galdrin.core.marking.Lack;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.procedure.Choice;
import app.galdrin.core.procedure.Family;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.Repeat;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.procedure.paper.Intermediate;
import app.galdrin.core.procedure.slip.Slip;
import app.galdrin.core.procedure.slip.Slips;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.TextFault;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.roadtest.RoadPoint;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.AdjusterUnit;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Direction;
import app.galdrin.core.spec.FastenerUse;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.Part;
import app.galdrin.core.spec.SheetLine;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.spec.WheelSize;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.spec.written.Cell;
import app.galdrin.core.spec.written.RowKind;
import app.galdrin.core.spec.written.Share;
import app.galdrin.core.spec.written.SheetFaultCode;
import app.galdrin.core.standing.StandingPoint;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.ReadyList;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Steering;
import app.galdrin.core.task.StepKinds;
import app.galdrin.core.task.TaskFaultCode;
import app.galdrin.core.tightening.Tightening;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.SplittableRandom;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever can be set, read, judged or marked has its words: a new key can't be half there, and no word is left over. */
class WordsTest {

    private static final Properties WORDS = new Properties();

    @BeforeAll
    static void read() throws IOException {
        try (Stream<Path> files = Stream.concat(
                Files.walk(Path.of("src/main/resources/messages")),
                Files.walk(Path.of("src/test/resources/messages")))) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                var one = new Properties();
                one.load(Files.newBufferedReader(file, StandardCharsets.UTF_8));
                one.stringPropertyNames()
                        .forEach(key -> assertEquals(null, WORDS.putIfAbsent(key, one.get(key)), key + " twice"));
            }
        }
    }

    private static Arguments keyed(String prefix, Keyed... all) {
        return Arguments.of(
                prefix,
                Arrays.stream(all).map(Keyed::key).filter(k -> !k.isEmpty()).toList());
    }

    static Stream<Arguments> enums() {
        return Stream.of(
                keyed("mode.", Mode.values()),
                keyed("outcome.", OutcomeSchool.values()),
                keyed("school.", OrderSchool.values()),
                keyed("rule.", DecisionRule.values()),
                keyed("start.", TaskStart.values()),
                keyed("fastenerUse.", FastenerUse.values()),
                keyed("repair.", Repair.values()),
                keyed("calibration.", Tightening.Calibration.values()),
                keyed("measurand.", Measurand.values()),
                keyed("where.", Location.values()),
                keyed("at.", FigurePosition.Kind.values()),
                keyed("wheel.", Wheel.values()),
                keyed("part.", Part.values()),
                keyed("way.", Direction.values()),
                keyed("adjusterUnit.", AdjusterUnit.values()),
                keyed(
                        "unit.",
                        Arrays.stream(AdjusterUnit.values())
                                .map(AdjusterUnit::unit)
                                .toArray(Unit[]::new)),
                keyed("answerUnit.", AnswerUnit.values()),
                keyed("intermediate.", Intermediate.values()),
                keyed("field.example.", Quantity.values()),
                keyed("sense.", Sense.values()),
                Arguments.of(
                        "sense.",
                        Arrays.stream(Sense.values())
                                .map(sense -> sense.key() + ".short")
                                .toList()),
                keyed("instrument.", CatalogueInstrument.values()),
                keyed("steering.", Steering.values()),
                keyed("family.", Family.values()),
                keyed("aspect.", Aspect.values()),
                keyed("fault.", TaskFaultCode.values()),
                keyed("cell.", Cell.values()),
                keyed("rowKind.", RowKind.values()),
                keyed("share.", Share.values()),
                keyed("sheet.printed.", Share.values()),
                keyed("field.", TextFault.values()),
                keyed(
                        "sheetFault.",
                        Arrays.stream(SheetFaultCode.values())
                                .filter(r -> r != SheetFaultCode.MALFORMED) // says what the parser says
                                .toArray(Keyed[]::new)),
                Arguments.of(
                        "rowKind.",
                        Arrays.stream(RowKind.values())
                                .map(k -> k.key() + ".help")
                                .toList()),
                keyed("verdict.", Judge.Verdict.values()),
                keyed("agreement.", Judge.Agreement.values()),
                keyed("zone.", Zone.values()),
                keyed("adjustable.", Adjustable.values()),
                keyed("adjustable.is.", Adjustable.values()),
                keyed("instead.", Plan.Instead.values()),
                keyed("next.", Round.Next.values()),
                keyed("linkage.", Linkage.values()),
                keyed("lack.", Lack.values()),
                keyed("status.", MarkLine.Status.values()),
                Arguments.of(
                        "step.",
                        StepKinds.all().stream().map(k -> k.key() + ".title").toList()),
                Arguments.of(
                        "start.",
                        Arrays.stream(TaskStart.values())
                                .map(k -> k.key() + ".title")
                                .toList()),
                Arguments.of(
                        "answerUnit.",
                        Arrays.stream(AnswerUnit.values())
                                .map(k -> k.key() + ".hint")
                                .toList()),
                Arguments.of("item.", items(".why")),
                Arguments.of("item.", items("")));
    }

    private static List<String> items(String ending) {
        return Arrays.stream(ReadyList.values())
                .flatMap(list -> list.items().stream())
                .map(item -> item.id() + ending)
                .toList();
    }

    @ParameterizedTest
    @MethodSource("enums")
    void everyKey_hasItsWord(String prefix, List<String> keys) {
        assertEquals(
                List.of(),
                keys.stream().filter(k -> !WORDS.containsKey(prefix + k)).toList());
    }

    static Stream<FormPoint> points() {
        return Stream.of(
                        JointPoint.all(),
                        List.of(ConditionPoint.values()),
                        List.of(StandingPoint.values()),
                        List.of(RoadPoint.values()),
                        List.of(CardPoint.values()))
                .flatMap(List::stream);
    }

    /** A point is said by its key, or by its part with its place; so is every answer to choose from. */
    @ParameterizedTest
    @MethodSource("points")
    void everyPointOfAForm_hasWords(FormPoint point) {
        String part = point.key().replaceFirst("\\..*", "");
        assertTrue(WORDS.containsKey("item." + point.key()) || WORDS.containsKey("item." + part), point.key());
        if (point.asks() instanceof AnswerType.Choice choice) {
            choice.options().forEach(option -> assertTrue(WORDS.containsKey(choice.words() + "." + option), option));
        }
    }

    static Stream<Procedure> procedures() {
        return Procedures.all().stream();
    }

    /** What a procedure says on the bench, on the sheet, in its working and where it is doubtful. */
    @ParameterizedTest
    @MethodSource("procedures")
    void everythingAProcedureSays_hasWords(Procedure procedure) {
        String key = procedure.key();
        var keys = new TreeSet<>(List.of("procedure." + key, "procedure." + key + ".why", "sketch." + key + ".walk"));
        MeasuringContext bay = Assignment.of(TaskStart.TOE.on(van(), "x", OrderSchool.A, AnswerUnit.DEGREES), van())
                .standing();
        MeasuringContext standing = procedure.asUsual(bay);
        if (procedure.baseline().apply(standing).isPresent()) {
            keys.add("baseline." + key);
        }
        for (String taught : procedure.taught()) {
            keys.add("work." + key + ".how." + taught);
        }
        for (Place place : procedure.places(procedure.sees())) {
            keys.addAll(List.of(place.words(), place.words() + ".short", place.words() + ".list"));
        }
        for (Choice choice : procedure.choices()) {
            keys.add("choice." + choice.id());
            choice.options().forEach(o -> keys.add(choice.id() + "." + o));
        }
        procedure.instruments().keySet().forEach(tool -> keys.add("doubt." + tool));
        procedure.guide().assumes().forEach(a -> keys.add("assumption." + a.key()));
        procedure.guide().steps().forEach(step -> keys.add("guide.do." + step));
        procedure.guide().checks().forEach(check -> keys.add("guide.check." + check));
        for (Slip slip : Slips.of(procedure)) {
            keys.add("slip." + slip.key());
        }
        Map<String, Double> readings =
                procedure.lay(truth(), standing, 0, new SplittableRandom(1)).read();
        for (String taught : procedure.taught()) {
            var worked = procedure.work(readings, standing, new Repeat("s", 0, 1), taught);
            worked.figures().values().forEach(f -> f.budget().shares().keySet().forEach(g -> keys.add(doubt(g))));
            for (FigureId figure : procedure.sees()) {
                worked.stepsTo(figure, taught)
                        .ifPresent(steps -> steps.forEach(s -> keys.addAll(List.of(
                                "working." + s.formula().key(),
                                "calc." + s.formula().key(),
                                "calc." + s.formula().key() + ".is"))));
            }
        }
        assertEquals(List.of(), keys.stream().filter(k -> !WORDS.containsKey(k)).toList());
    }

    /** A set-up is said by its own name, whichever wheel it is at; what the bay and the sheet give, by theirs. */
    private static String doubt(String group) {
        String[] parts = group.split("\\.", -1);
        return "doubt." + parts[0] + (parts[0].equals("setUp") ? "." + parts[1] : "");
    }

    private static Truth truth() {
        Map<FigureId, Double> figures = new HashMap<>();
        for (Wheel wheel : Wheel.values()) {
            for (Measurand measurand : List.of(Measurand.TOE, Measurand.CAMBER, Measurand.CASTER, Measurand.KPI)) {
                figures.put(FigureId.of(measurand, wheel), Math.toRadians(1));
            }
        }
        return new Truth(figures);
    }

    private static SpecificationSheet van() {
        var geometry =
                new VehicleGeometry(2760, 1484, 1466, new WheelSize(416, 301), Linkage.BEHIND, 1.5, false, 136.0, 17.8);
        return new SpecificationSheet(
                geometry,
                List.of(new SheetLine(
                        Optional.of(app.galdrin.core.geometry.Axle.FRONT),
                        Measurand.TOTAL_TOE,
                        Optional.of(Limits.of(-0.01, 0, 0.01)),
                        Optional.empty(),
                        Adjustable.NO)),
                List.of());
    }

    /** Sentences with a figure in them take all they are given: a stray brace or apostrophe would swallow it. */
    @Test
    void apostrophes_areDoubled_whereAPlaceholderStands() {
        List<String> wrong = new ArrayList<>();
        WORDS.forEach((key, text) -> {
            String plain = text.toString().replace("''", "");
            if (text.toString().contains("{") && plain.contains("'")) {
                wrong.add(key.toString());
            }
        });
        assertEquals(List.of(), wrong);
    }
}
