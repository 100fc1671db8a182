package app.galdrin.core.task;

import static app.galdrin.core.Vehicles.figure;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Stance;
import app.galdrin.core.start.TaskStart;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class TaskDocumentTest {

    static final String PREPARE =
            "{'id':'prepare','kind':'checklist','items':[{'id':'boots'},{'id':'stands','critical':true}]}";
    static final String TOE =
            "{'id':'toe','kind':'measure','procedure':'strings','figures':['totalToe.front','toe.front.left'],'repeats':2}";
    private static final String WORK =
            "{'id':'work','kind':'work','figures':[{'figure':'totalToe.front','from':'toe','unit':'mm'}]}";
    private static final String JUDGE = "{'id':'judge','kind':'judge','figures':['totalToe.front']}";
    private static final String PLAN = "{'id':'plan','kind':'plan','figures':['totalToe.front']}";
    private static final String ROUND =
            "{'id':'adjust','kind':'round','most':3,'measures':[{'id':'again','procedure':'plates','figures':['totalToe.front']}]}";
    static final String END = "{'id':'end','kind':'handIn'}";
    static final String MARKS =
            "{'step':'toe','aspect':'reading','marks':20,'bands':[{'figure':'totalToe.front','full':0.1,'none':0.3},{'figure':'toe.front.left','full':0.2,'none':0.6}]}";

    static String document(String marks, String... steps) {
        return ("{'format':'galdrin.task','version':2,'title':'Toe','steps':[" + String.join(",", steps) + "],'marks':["
                        + marks + "]}")
                .replace('\'', '"');
    }

    static List<TaskFault> faults(String document) {
        return TaskDocument.read(document) instanceof TaskDocument.Reading.Refusal refused
                ? refused.faults()
                : List.of();
    }

    static String said(List<TaskFault> faults) {
        return faults.stream()
                .map(f -> f.at() + " " + f.reason().key() + " " + f.value())
                .collect(Collectors.joining("; "));
    }

    static Stream<Practical> starts() {
        SpecificationSheet van = Vehicles.van();
        return Stream.of(TaskStart.values())
                .flatMap(start -> Stream.of(OrderSchool.values())
                        .map(school -> start.on(van, start.key(), school, AnswerUnit.DEGREES)));
    }

    @ParameterizedTest
    @MethodSource("starts")
    void aReadyMadePractical_isFaultless_andWrittenOneWay(Practical practical) {
        assertEquals(List.of(), practical.faults());
        assertEquals(List.of(), practical.faults(Vehicles.van()));
        String written = TaskDocument.write(practical);
        Practical read = TaskDocument.stored(written);
        assertEquals(written, TaskDocument.write(read));
        assertEquals(practical.steps(), read.steps());
        assertEquals(practical.figures(), read.figures());
    }

    @Test
    void theFullFront_measuresInTheOrderOfItsSchool_andReadsAgainWhatCanBeMoved() {
        Practical a = TaskStart.FULL_FRONT.on(Vehicles.van(), "F", OrderSchool.A, AnswerUnit.DEGREES);
        Practical b = TaskStart.FULL_FRONT.on(Vehicles.van(), "F", OrderSchool.B, AnswerUnit.DEGREES);
        assertEquals(
                List.of("prepare", "caster", "camber", "toe", "work", "judge", "plan", "adjust", "closing", "handIn"),
                a.steps().stream().map(Step::id).toList());
        assertEquals("camber", b.steps().get(1).id());
        assertEquals(
                List.of("camberAgain", "toeAgain"),
                a.of(Round.class).findFirst().orElseThrow().measures().stream()
                        .map(Measure::id)
                        .toList());
        assertEquals(
                Optional.of("toe"),
                a.measuring(figure("toe.front.left"), "judge").map(Measure::id));
        assertEquals(Optional.empty(), a.measuring(figure("toe.front.left"), "toe"));
        assertEquals(Optional.empty(), a.measuring(figure("thrust.front"), "judge"));
        assertTrue(a.step("toeAgain").isPresent());
    }

    @Test
    void everyStepKind_isReadAsItIsWritten() {
        Practical p = TaskDocument.stored(document(MARKS, PREPARE, TOE, WORK, JUDGE, PLAN, ROUND, END));
        assertEquals(
                List.of("checklist", "measure", "work", "judge", "plan", "round", "handIn"),
                p.steps().stream().map(Step::kind).toList());
        assertEquals(
                new Work.Item(figure("totalToe.front"), "toe", AnswerUnit.MILLIMETRES),
                ((Work) p.steps().get(2)).asked().get(0));
        assertEquals(3, ((Round) p.steps().get(5)).most());
        assertEquals(
                List.of(new Checklist.Item("boots", false, false), new Checklist.Item("stands", true, false)),
                ((Checklist) p.steps().get(0)).items());
        assertFalse(p.scheme().criteria().get(0).mustPass());
        assertEquals(1, ((Round) p.steps().get(5)).measures().get(0).repeats(), "once where nothing is said");
        Band band = p.scheme().criteria().get(0).band(figure("totalToe.front")).orElseThrow();
        assertEquals(Math.toRadians(0.1), band.full(), 1e-15);
        assertEquals(20, p.scheme().available());
        assertEquals(OrderSchool.A, p.school());
        assertEquals(Mode.ASSESSMENT, p.mode());
        assertEquals(Optional.empty(), p.minutes());
    }

    /** What is asked for on the way to a figure has to be on the way of the working that is taught, on this vehicle. */
    @ParameterizedTest
    @CsvSource({"lengthDifference,", "factor,steps.1.figures unknown factor"})
    void figuresOnTheWay_areReadAndWritten_andCheckedOnTheVehicle(String step, @Nullable String refused) {
        String work =
                "{'id':'work','kind':'work','figures':[{'figure':'totalToe.front','from':'toe','unit':'deg','steps':['"
                        + step + "']}]}";
        String plates = "{'id':'toe','kind':'measure','procedure':'plates','figures':['totalToe.front'],'repeats':2}";
        Practical p = TaskDocument.stored(document(MARKS, plates, work, END));
        assertTrue(TaskDocument.write(p).contains("\"steps\":[\"" + step + "\"]"));
        assertEquals(refused == null ? "" : refused, said(p.faults(Vehicles.van())));
        var line = p.steps().get(1).lines(Vehicles.van()).get(0);
        assertEquals("totalToe.front.via." + step, line.id());
        assertEquals(
                step.equals("factor") ? Quantity.COUNT : Quantity.LENGTH,
                ((AnswerType.Amount) line.answer()).quantity());
    }

    /** Where an item has its turn and reasons are asked for it. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            value = {
                "'inTurn':true,'why':[{'words':['fall','drop']},{'words':['rust']}]|",
                "'why':[]|",
                "'why':[{'words':[]}]|steps.0.words missing ",
                "'why':[{}]|steps.0.words missing ",
                "'why':[{'words':['fall',7]}]|steps.0.words malformed 7.0",
                "'why':[{'words':[' ']}]|steps.0.words tooLong  ",
                "'why':[{'words':['abcdefghijklmnopqrstuvwxyzabcde']}]|steps.0.words tooLong abcdefghijklmnopqrstuvwxyzabcde",
                "'why':[{'words':['fall'],'for':'boots'}]|steps.0.for unknownField for",
                "'inTurn':1|steps.0.inTurn malformed 1.0",
                "'why':[{'words':['a']}]},{'id':'boots.why'|steps.0.items twice boots.why",
            })
    void whatIsAskedOfAnItem_isReadAndWritten_orRefused(String asked, @Nullable String refused) {
        String list = "{'id':'p','kind':'checklist','items':[{'id':'boots'," + asked + "}]}";
        String document = document(MARKS, list, TOE, END);
        if (refused == null) {
            Practical read = TaskDocument.stored(document);
            assertEquals(TaskDocument.write(read), TaskDocument.write(TaskDocument.stored(TaskDocument.write(read))));
            boolean asks = asked.contains("words");
            assertEquals(asks, TaskDocument.write(read).contains(asked.replace('\'', '"')));
            assertEquals(asks ? 2 : 1, read.steps().get(0).lines(Vehicles.van()).size());
        } else {
            assertEquals(refused.strip(), said(faults(document)).strip());
        }
    }

    static Stream<Arguments> wrong() {
        String marks = MARKS;
        return Stream.of(
                Arguments.of("nonsense", " notJson "),
                Arguments.of(document(marks), "steps noSteps ; marks noAspect toe.reading"),
                Arguments.of(document(marks, TOE), "steps noHandIn "),
                Arguments.of(document(marks, TOE, END, PREPARE), "steps.1 afterHandIn end"),
                Arguments.of(document(marks, TOE, TOE, END), "steps twice toe"),
                Arguments.of(document("", TOE, END), "marks noMarks "),
                Arguments.of(
                        document(marks, TOE.replace("strings", "plates"), END),
                        "steps.0.figures notSeen toe.front.left"),
                Arguments.of(
                        document(marks, TOE, WORK.replace("'toe'", "'nothing'"), END),
                        "steps.1.figures notMeasured totalToe.front"),
                Arguments.of(document(marks, WORK, TOE, END), "steps.0.figures notMeasured totalToe.front"),
                Arguments.of(document(marks, JUDGE, TOE, END), "steps.0.figures notMeasured totalToe.front"),
                Arguments.of(document(marks, PLAN, TOE, END), "steps.0.figures notMeasured totalToe.front"),
                Arguments.of(document(marks.replace("reading", "working"), TOE, END), "marks noAspect toe.working"),
                Arguments.of(document(marks, TOE.replace("2}", "11}"), END), "steps.0.repeats outOfRange 11"),
                Arguments.of(document(marks, TOE, ROUND.replace("3", "7"), END), "steps.1.most outOfRange 7"),
                Arguments.of(
                        document(marks, TOE.replace("strings", "telescope"), END),
                        "steps.0.procedure unknown telescope"),
                Arguments.of(document(marks, TOE.replace("measure", "guess"), END), "steps.0.kind unknown guess"),
                Arguments.of(
                        document(marks, TOE.replace("toe.front.left", "toe.front"), END),
                        "steps.0.figures unknown toe.front"),
                Arguments.of(document(marks, TOE.replace("'id':'toe'", "'id':'Toe!'"), END), "steps.0.id unknown Toe!"),
                Arguments.of(document(marks.replace("0.3", "0.05"), TOE, END), "marks.0.none unknown 0.05"),
                Arguments.of(document(marks.replace("20", "20.5"), TOE, END), "marks.0.marks malformed 20.5"),
                Arguments.of(
                        document(marks, TOE, END).replace("\"title\"", "\"name\""),
                        "name unknownField name; title missing "),
                Arguments.of(
                        document(marks, TOE.replace("2}", "2,'working':'guess'}"), END),
                        "steps.0.working unknown guess"),
                Arguments.of(
                        document(marks, PREPARE.replace("stands", "boots"), TOE, END), "steps.0.items twice boots"));
    }

    /** What a member may hold: each of these changes one text of a document that is right. */
    static Stream<Arguments> members() {
        return Stream.of(
                Arguments.of("'boots'}", "'boots','colour':1}", "steps.0.colour unknownField colour"),
                Arguments.of("'kind':'checklist'", "'kind':'checklist','x':1", "steps.0.x unknownField x"),
                Arguments.of("'repeats':2", "'repeats':2,'x':1", "steps.1.x unknownField x"),
                Arguments.of("'kind':'work'", "'kind':'work','x':1", "steps.2.x unknownField x"),
                Arguments.of("'unit':'mm'", "'x':1", "steps.2.x unknownField x"),
                Arguments.of("'unit':'mm'", "'steps':['luck']", "steps.2.steps unknown luck"),
                Arguments.of("'unit':'mm'", "'steps':['factor','factor']", "steps.2.steps unknown factor"),
                Arguments.of("'unit':'mm'", "'steps':[]", "steps.2.steps missing "),
                Arguments.of("'kind':'judge'", "'kind':'judge','x':1", "steps.3.x unknownField x"),
                Arguments.of("'kind':'plan'", "'kind':'plan','x':1", "steps.4.x unknownField x"),
                Arguments.of("'most':3", "'most':3,'x':1", "steps.5.x unknownField x"),
                Arguments.of("'kind':'handIn'", "'kind':'handIn','x':1", "steps.6.x unknownField x"),
                Arguments.of("'marks':20", "'marks':20,'x':1", "marks.0.x unknownField x"),
                Arguments.of("'full':0.1", "'full':0.1,'x':1", "marks.0.x unknownField x"),
                Arguments.of("'format':'galdrin.task'", "'format':'other'", "format unknown other"),
                Arguments.of("'version':2", "'version':3", "version outOfRange 3"),
                Arguments.of("'title':'Toe'", "'title':7", "title malformed 7.0"),
                Arguments.of("'title':'Toe'", "'title':' '", "title tooLong  "),
                Arguments.of("'title':'Toe'", "'title':'Toe','minutes':601", "minutes outOfRange 601"),
                Arguments.of("'title':'Toe'", "'title':'Toe','minutes':0", "minutes outOfRange 0"),
                Arguments.of(
                        "'title':'Toe'", "'title':'Toe','slipKeepsPercent':101", "slipKeepsPercent outOfRange 101"),
                Arguments.of(
                        "'title':'Toe'",
                        "'title':'Toe','grades':[{'name':'Pass','from':101}]",
                        "grades.0.from outOfRange 101"),
                Arguments.of(
                        "'title':'Toe'",
                        "'title':'Toe','grades':[{'name':'Pass','from':50},{'name':'Merit','from':50}]",
                        "grades.1.from outOfRange 50"),
                Arguments.of("'title':'Toe'", "'title':'Toe','school':'C'", "school unknown C"),
                Arguments.of("'title':'Toe'", "'title':'Toe','mode':3", "mode unknown 3.0"),
                Arguments.of("'critical':true", "'critical':'yes'", "steps.0.critical malformed yes"),
                Arguments.of("'items':[", "'items':['boots',", "steps.0.items malformed boots"),
                Arguments.of("'repeats':2", "'repeats':'2'", "steps.1.repeats malformed 2"),
                Arguments.of(
                        "['totalToe.front','toe.front.left']",
                        "['toe.front.left','toe.front.left']",
                        "steps.1.figures twice toe.front.left"),
                Arguments.of("['totalToe.front','toe.front.left']", "[]", "steps.1.figures missing "),
                Arguments.of(
                        "['totalToe.front','toe.front.left']",
                        "'toe.front.left'",
                        "steps.1.figures malformed ; steps.1.figures missing "),
                Arguments.of("'figure':'totalToe.front','from'", "'figure':'toe','from'", "steps.2.figure unknown toe"),
                Arguments.of("'unit':'mm'", "'unit':'inch'", "steps.2.unit unknown inch"),
                Arguments.of("'unit':'mm'}]", targets("'x':1,", "toe", "strings"), "steps.2.x unknownField x"),
                Arguments.of("'unit':'mm'}]", targets("", "toe", "telescope"), "steps.2.procedure unknown telescope"),
                Arguments.of("'unit':'mm'}]", targets("", "nothing", "strings"), "steps.2.targets notMeasured nothing"),
                Arguments.of("'unit':'mm'}]", targets("", "toe", "plates"), "steps.2.targets notMeasured toe"),
                Arguments.of("'aspect':'reading'", "'aspect':'beauty'", "marks.0.aspect unknown beauty"),
                Arguments.of("'marks':20", "'marks':20,'mustPass':1", "marks.0.mustPass malformed 1.0"),
                Arguments.of("'full':0.1", "'full':0", "marks.0.full outOfRange 0.0"),
                Arguments.of("'full':0.1", "'full':5.1", "marks.0.full outOfRange 5.1"),
                Arguments.of("'full':0.1,", "", "marks.0.full missing null"),
                Arguments.of("'none':0.3", "'none':15.1", "marks.0.none outOfRange 15.1"),
                Arguments.of("'none':0.3", "'none':0.1", "marks.0.none unknown 0.1"),
                Arguments.of(
                        "{'figure':'totalToe.front','full'", "{'figure':'toe','full'", "marks.0.figure unknown toe"));
    }

    private static String targets(String more, String from, String procedure) {
        return "'unit':'mm'}],'targets':[{" + more + "'from':'" + from + "','procedure':'" + procedure
                + "','figures':['totalToe.front']}]";
    }

    @ParameterizedTest
    @MethodSource("members")
    void aMember_holdsWhatItMay(String right, String wrong, String expected) {
        String document = document(MARKS, PREPARE, TOE, WORK, JUDGE, PLAN, ROUND, END);
        String changed = document.replace(right.replace('\'', '"'), wrong.replace('\'', '"'));
        assertFalse(changed.equals(document), "the text is there to be changed");
        assertEquals(expected, said(faults(changed)));
    }

    @ParameterizedTest
    @CsvSource({"minutes,1", "minutes,600", "slipKeepsPercent,0", "slipKeepsPercent,100"})
    void theEndsOfARange_areInIt(String member, int value) {
        String document = document(MARKS, TOE, END).replace("\"title\"", "\"" + member + "\":" + value + ",\"title\"");
        Practical p = TaskDocument.stored(document);
        assertEquals(
                value,
                member.equals("minutes")
                        ? p.minutes().orElseThrow()
                        : p.scheme().slipKeepsPercent());
        assertEquals(p, TaskDocument.stored(TaskDocument.write(p)), "and written as it was read");
    }

    @ParameterizedTest
    @MethodSource("wrong")
    void whatCanNotBeDone_isRefusedWithItsPlaceAndReason(String document, String expected) {
        assertEquals(expected, said(faults(document)));
    }

    @Test
    void allFaults_areSaidTogether() {
        String document = document(
                "{'step':'toe','aspect':'reading','marks':101}",
                PREPARE.replace("}]", ",'colour':'red'}]"),
                TOE.replace("strings", "telescope").replace("2}", "0}"),
                END);
        assertEquals(
                "steps.0.colour unknownField colour; steps.1.procedure unknown telescope; steps.1.repeats outOfRange 0;"
                        + " marks.0.marks outOfRange 101",
                said(faults(document)));
    }

    @Test
    void limitsOfLength_areKept() {
        String steps = IntStream.range(0, 41)
                .mapToObj(i -> PREPARE.replace("prepare", "p" + i))
                .collect(Collectors.joining(","));
        assertEquals(
                TaskFaultCode.TOO_MANY, faults(document(MARKS, steps)).get(0).reason());
        assertEquals(40, faults(document(MARKS, steps)).get(0).limit());
        String most = steps.substring(steps.indexOf("},{'id':'p3'") + 2);
        assertEquals(List.of(), faults(document(MARKS, most, TOE, END)), "forty are not too many");
        assertEquals(List.of(), faults(document(MARKS, TOE, END).replace("\"Toe\"", "\"" + "T".repeat(120) + "\"")));
        String long_ = document(MARKS, TOE, END).replace("Toe", "T".repeat(121));
        assertEquals("title", faults(long_).get(0).at());
        assertEquals(
                TaskFaultCode.TOO_LONG,
                faults(" ".repeat(TaskDocument.LONGEST + 1)).get(0).reason());
        assertEquals(
                TaskFaultCode.NOT_JSON,
                faults(" ".repeat(TaskDocument.LONGEST)).get(0).reason());
    }

    @Test
    void onAVehicle_limitsAndAdjustersAreAskedFor() {
        var bare = new SpecificationSheet(Vehicles.GEOMETRY, List.of(), List.of());
        Practical p = TaskDocument.stored(document(MARKS, TOE, WORK, JUDGE, PLAN, ROUND, END));
        assertEquals(
                "steps.2.figures noLimits totalToe.front; steps.3.figures nothingAdjustable ; steps.4.measures nothingAdjustable ",
                said(p.faults(bare)));
        assertEquals("", said(p.faults(Vehicles.van())));
        String camber = "{'id':'camber','kind':'measure','procedure':'inclinometer','figures':['camber.front.left']}";
        String inMillimetres =
                "{'id':'work','kind':'work','figures':[{'figure':'camber.front.left','from':'camber','unit':'mm'}]}";
        Practical lengths = TaskDocument.stored(document(MARKS, TOE, camber, inMillimetres, END));
        assertEquals("steps.2.figures unknown mm", said(lengths.faults(Vehicles.van())));
    }

    /** Limits hold at one ride height: where the step says nothing it is taken there, and at another one nothing can be judged. */
    @ParameterizedTest
    @CsvSource({"'', ''", "372, ''", "374, ''", "350, steps.1.figures otherStance totalToe.front"})
    void aFigureIsJudged_onlyWhereItsLimitsHold(String height, String fault) {
        var sheet = Vehicles.van().at(new Stance(OptionalDouble.of(372), OptionalDouble.empty()));
        String toe = height.isEmpty() ? TOE : TOE.replace("}", ",'rideHeight':" + height + "}");
        Practical p = TaskDocument.stored(document(MARKS, toe, JUDGE, END));
        assertEquals(fault, said(p.faults(sheet)));
        Measure measure = p.of(Measure.class).findFirst().orElseThrow();
        assertEquals(
                height.isEmpty() ? 372 : Double.parseDouble(height),
                measure.on(sheet).stance().rideHeight().orElseThrow());
    }

    @Test
    void aGivenFigure_isNotAskedForOnPaper() {
        String sweep = "{'id':'s','kind':'measure','procedure':'sweep','figures':['kpi.front.left']}";
        String work = "{'id':'work','kind':'work','figures':[{'figure':'kpi.front.left','from':'s','unit':'deg'}]}";
        assertEquals(
                "steps.1.figures givenNotWorked kpi.front.left",
                said(faults(document(
                        MARKS.replace("toe'", "s'").replace("totalToe.front", "kpi.front.left"), sweep, work, END))));
        assertThrows(IllegalStateException.class, () -> TaskDocument.stored("{}"));
    }

    @Test
    void linesOfAStep_followFromTheVehicle() {
        SpecificationSheet van = Vehicles.van();
        List<FigureId> all =
                List.of(figure("caster.front.left"), figure("camber.front.left"), figure("totalToe.front"));
        List<String> plan =
                new Plan("plan", all).lines(van).stream().map(Line::id).toList();
        assertEquals(
                List.of(
                        "topSlot.front.left.way",
                        "topSlot.front.left.amount",
                        "topSlot.front.right.way",
                        "rod.front.left.way",
                        "rod.front.left.amount",
                        "rod.front.right.way",
                        "rod.front.right.amount",
                        "part.caster.front"),
                plan);
        List<String> judge =
                new Judge("judge", all).lines(van).stream().map(Line::id).toList();
        assertEquals(
                List.of(
                        "caster.front.left",
                        "camber.front.left",
                        "totalToe.front",
                        "adjustable.caster.front",
                        "adjustable.camber.front",
                        "adjustable.toe.front"),
                judge);
        assertEquals(
                15,
                Measure.of("m", Procedures.of("strings"), List.of(figure("totalToe.front")), 2)
                        .lines(van)
                        .size());
    }

    @Test
    void defaultMarks_followTheProceduresOwnDoubt() {
        Practical p = TaskStart.FULL_FRONT.on(Vehicles.van(), "F", OrderSchool.A, AnswerUnit.DEGREES);
        Scheme scheme = p.scheme();
        Map<String, Integer> marks =
                scheme.criteria().stream().collect(Collectors.toMap(c -> c.id().key(), Criterion::marks));
        assertEquals(10, marks.get("prepare.critical"));
        assertEquals(5, marks.get("closing.critical"));
        assertEquals(7, marks.get("toe.reading"));
        assertEquals(4, marks.get("camber.repeatability"));
        assertEquals(20, marks.get("work.working"));
        assertTrue(scheme.criteria().stream()
                .filter(Criterion::mustPass)
                .allMatch(c ->
                        Set.of(Aspect.CRITICAL, Aspect.PLAN, Aspect.AS_LEFT).contains(c.id().aspect())));
        assertTrue(scheme.criteria().stream().anyMatch(c -> c.mustPass() && c.id().aspect() == Aspect.PLAN));
        Criterion reading =
                scheme.criterion(new Criterion.Id("camber", Aspect.READING)).orElseThrow();
        double u = ExpectedUncertainty.asAsked(
                        p.measure("camber").orElseThrow(),
                        Assignment.of(p, Vehicles.van()).standing())
                .get(figure("camber.front.left"))
                .standardUncertainty();
        assertEquals(
                2 * Math.sqrt(2) * u,
                reading.band(figure("camber.front.left")).orElseThrow().full(),
                1e-12);
        Criterion repeats =
                scheme.criterion(new Criterion.Id("toe", Aspect.REPEATABILITY)).orElseThrow();
        assertEquals(
                List.of(figure("totalToe.front")), List.copyOf(repeats.bands().keySet()), "the sum holds both wheels");
        assertEquals(Optional.of(new Criterion.Id("toe", Aspect.READING)), Criterion.Id.parse("toe.reading"));
        assertFalse(Criterion.Id.parse("toe").isPresent());
    }

    private static String faultsOf(String measure) {
        return said(faults(document(MARKS, measure, END)));
    }

    /** Instruments are named by what they are read for; where one wheel is squared to the line only the total means something. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            value = {
                "'tools':{'tape':'tapeSixteenths'}|",
                "'tools':{'tape':'phoneLevel'}|tools unknown phoneLevel",
                "'tools':{'string':'tape'}|string unknownField string",
                "'tools':'tape'|tools malformed tape",
                "'steering':'squared'|",
                "'steering':'sideways'|steering unknown sideways",
                "'rideHeight':372,'load':150|",
                "'rideHeight':20|rideHeight outOfRange 20",
                "'load':-1|load outOfRange -1",
                "'load':'full'|load outOfRange full"
            })
    void aMeasure_namesItsToolsAndTheSteering(String member, String fault) {
        String found = faultsOf(
                "{'id':'toe','kind':'measure','procedure':'plates','figures':['totalToe.front']," + member + "}");
        assertEquals(fault == null, !found.contains("steps.0"), found);
        assertTrue(fault == null || found.contains("steps.0." + fault), found);
    }

    @Test
    void whereOneWheelIsSquared_noSingleWheelIsAsked() {
        String found = faultsOf("{'id':'toe','kind':'measure','procedure':'strings','steering':'squared',"
                + "'figures':['totalToe.front','toe.front.left','toe.rear.left']}");
        assertTrue(found.contains("steps.0.figures oneWheelSquared toe.front.left"), found);
        assertFalse(found.contains("Squared toe.rear.left") || found.contains("Squared totalToe"), found);
    }

    /** Whoever sat a task is marked by the doubts it was set with, whatever was learnt since. */
    @Test
    void aDocumentOfTheFirstVersion_countsNoSetUp_andStaysOne() {
        String now =
                TaskDocument.write(TaskStart.FULL_FRONT.on(Vehicles.van(), "F", OrderSchool.A, AnswerUnit.DEGREES));
        String first = now.replace("\"version\":2", "\"version\":1");
        Practical old = TaskDocument.stored(first);
        assertEquals(first, TaskDocument.write(old));
        assertEquals(1, TaskDocument.version(old));
        assertTrue(old.of(Measure.class).noneMatch(m -> m.procedure().setUpCounts()));
        FigureId wheel = figure("toe.front.left"); // of the total it falls out
        assertTrue(
                doubt(old, wheel) < 0.999 * doubt(TaskDocument.stored(now), wheel),
                "how the strings hang is no doubt of the old one");
    }

    private static double doubt(Practical practical, FigureId figure) {
        Measure toe = practical.measure("toe").orElseThrow();
        return ExpectedUncertainty.once(
                        toe, Assignment.of(practical, Vehicles.van()).standing())
                .get(figure)
                .standardUncertainty();
    }
}
