package app.galdrin.web.task;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.procedure.Family;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.paper.Intermediate;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Suspension;
import app.galdrin.core.spec.Vehicle;
import app.galdrin.core.spec.written.WrittenSheet;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Grade;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.Steering;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Target;
import app.galdrin.core.task.TaskDocument;
import app.galdrin.core.task.Work;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.library.Library;
import java.net.URI;
import java.net.http.HttpResponse;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Setting a task over real requests. */
@GaldrinTest
class TaskBenchTest {

    private static final Criterion.Id WORKING =
            Criterion.Id.parse("work.working").orElseThrow();

    private static final String REPEATS = "name=\"steps.toe.repeats\" value=\"";

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Library library;

    private Centre centre;
    private Visitor teacher;

    @BeforeEach
    void signIn() {
        centre = centres.plates();
        teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
    }

    /** Begins a draft, and gives its path. */
    private String begun(String start) {
        return location(teacher.post("/tasks/drafts", Map.of("start", start)));
    }

    private static String location(HttpResponse<String> response) {
        assertEquals(302, response.statusCode(), response.body());
        return URI.create(response.headers().firstValue("Location").orElseThrow())
                .getPath();
    }

    private static UUID id(String path) {
        return UUID.fromString(path.substring(path.lastIndexOf('/') + 1));
    }

    /** A draft with these steps alone, added one after the other. */
    private String composed(String... additions) {
        String draft = begun("toe");
        for (String step : List.of("prepare", "toe", "work", "judge", "plan", "adjust", "closing", "handIn")) {
            press(draft, Map.of("remove", step));
        }
        for (String addition : additions) {
            press(draft, Map.of("add", addition));
        }
        return draft;
    }

    /** Presses something, and gives the page that it makes. */
    private String press(String draft, Map<String, String> form) {
        Map<String, String> sent = new LinkedHashMap<>(form);
        sent.put("part", "1");
        var response = teacher.post(draft, sent);
        assertEquals(200, response.statusCode(), response.body());
        return response.body();
    }

    private Practical set(String draft, Map<String, String> form) {
        String path = location(teacher.post(draft + "/set", form));
        return tasks.task(centre.id(), id(path)).practical();
    }

    private Practical set(String draft) {
        return set(draft, Map.of());
    }

    private static List<String> ids(Practical practical) {
        return practical.steps().stream().map(Step::id).toList();
    }

    private static List<String> shown(String page) {
        return Pattern.compile("data-bench-step=\"([a-zA-Z0-9]+)\"")
                .matcher(page)
                .results()
                .map(m -> m.group(1))
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "toe,prepare toe work judge plan adjust closing handIn,115,Front toe",
        "camberAndToe,prepare camber toe work judge plan adjust closing handIn,115,Front camber and toe",
        "fullFront,prepare caster camber toe work judge plan adjust closing handIn,118,'The full front: caster, camber, toe'",
    })
    void aStart_isSetAsItIs(String start, String steps, int marks, String title) {
        var practical = set(begun(start));
        assertEquals(List.of(steps.split(" ")), ids(practical));
        assertEquals(title, practical.title());
        assertEquals(marks, practical.scheme().available());
        assertEquals(List.of(), practical.faults());
        assertTrue(practical.scheme().criteria().stream()
                .anyMatch(c -> c.id().key().equals("prepare.critical") && c.mustPass()));
    }

    @Test
    void theStartOfABeamAxle_isForAVehicleThatHasOne() {
        assertFalse(teacher.get("/tasks/new").body().contains("value=\"beamAxle\""));
        var van = tasks.bays(centre.id(), centre.taskId()).get(0).sheet().sheet();
        var lorry = new SpecificationSheet(
                van.geometry().on(Suspension.BEAM, Suspension.RIGID), van.lines(), van.adjusters(), van.fasteners());
        var vehicle = new Vehicle("Ostrick", "Lectern 75", "library", "On a beam", Axle.REAR, Side.RIGHT);
        UUID sheet = library.addVehicle(centre.id(), new WrittenSheet.ParsedSheet(vehicle, lorry), null)
                .orElseThrow();
        assertTrue(teacher.get("/tasks/new").body().contains("value=\"beamAxle\""));
        String draft = begun("beamAxle");
        var practical = set(draft);
        assertEquals(sheet, tasks.bays(centre.id(), id(draft)).get(0).sheet().id());
        assertEquals(
                List.of("prepare caster kpi toe work judge plan adjust closing handIn".split(" ")), ids(practical));
        assertEquals(118, practical.scheme().available());
    }

    @Test
    void everythingChosen_isWhatIsSet() {
        String draft = composed("checklist:prepare", "measure:toe", "work", "handIn");
        press(draft, Map.of("steps.toe.procedure", "plates"));
        press(draft, Map.of("steps.toe.repeats", "3"));
        Map<String, String> form = new LinkedHashMap<>();
        form.put("steps.prepare.item.protection", "off");
        form.put("steps.prepare.item.standsAndChocks", "off");
        form.put("steps.work.unit.totalToe.front", "mm");
        form.put("steps.work.ways", "on");
        form.put("title", "  Plates, guarded  ");
        form.put("rule", "guarded");
        form.put("mode", "practice");
        form.put("outcome", "graded");
        form.put("minutes", "45");
        form.put("marks.work.working", "40");
        form.put("must.work.working", "on");
        form.put("band.toe.reading.totalToe.front", "0°06'");
        form.put("slipKeeps", "25");
        form.put("grades", "Pass 50, With merit 65 %");
        var practical = set(draft, form);
        assertEquals("Plates, guarded", practical.title());
        assertEquals(List.of("prepare", "toe", "work", "handIn"), ids(practical));
        Checklist prepare = practical.of(Checklist.class).findFirst().orElseThrow();
        assertEquals(
                List.of("condition", "standsAndChocks", "wheelsOnPlates", "clearFloor", "steeringStraight"),
                prepare.items().stream().map(Checklist.Item::id).toList(),
                "what somebody can be hurt without stays");
        Measure toe = practical.measure("toe").orElseThrow();
        assertEquals(Procedures.of("plates"), toe.procedure());
        assertEquals(3, toe.repeats());
        FigureId total = FigureId.parse("totalToe.front").orElseThrow();
        assertEquals(
                List.of(new Work.Item(total, "toe", AnswerUnit.MILLIMETRES, List.of(Intermediate.LENGTH_DIFFERENCE))),
                practical.of(Work.class).findFirst().orElseThrow().asked());
        assertEquals(DecisionRule.GUARDED, practical.rule());
        assertEquals(Mode.PRACTICE, practical.mode());
        assertEquals(OutcomeSchool.GRADED, practical.outcome());
        assertEquals(45, practical.minutes().orElseThrow());
        Criterion working = practical.scheme().criterion(WORKING).orElseThrow();
        assertTrue(working.mustPass() && working.marks() == 40);
        Criterion reading = practical
                .scheme()
                .criterion(Criterion.Id.parse("toe.reading").orElseThrow())
                .orElseThrow();
        assertEquals(Math.toRadians(0.1), reading.bands().get(total).full(), 1e-12);
        assertEquals(25, practical.scheme().slipKeepsPercent());
        assertEquals(
                List.of(new Grade("Pass", 50), new Grade("With merit", 65)),
                practical.scheme().grades());
        assertFalse(reading.bands().get(total).usual(), "what was typed stands");
    }

    /** Steps come from nothing, as many of a kind as somebody wants, each at its turn; moved and removed, undone and redone. */
    @Test
    void stepsAreAdded_moved_removed_andAllOfItUndone() {
        String draft = composed();
        assertEquals(List.of(), shown(teacher.get(draft).body()));
        for (String addition : new String[] {"handIn", "measure:toe", "work", "measure:camber", "judge", "work"}) {
            press(draft, Map.of("add", addition));
        }
        assertEquals(
                List.of("toe", "camber", "work", "work2", "judge", "handIn"),
                shown(teacher.get(draft).body()));
        assertEquals(
                List.of("camber", "toe", "work", "work2", "judge", "handIn"),
                shown(press(draft, Map.of("move", "up:camber"))));
        assertEquals(
                List.of("camber", "toe", "work", "work2", "judge", "handIn"),
                shown(press(draft, Map.of("move", "down:camber"))),
                "as the school has it");
        press(draft, Map.of("steps.toe.repeats", "4"));
        List<String> without = List.of("camber", "work", "work2", "judge", "handIn");
        assertEquals(without, shown(press(draft, Map.of("remove", "toe"))));
        String undone = press(draft, Map.of("undo", "1"));
        assertEquals(List.of("camber", "toe", "work", "work2", "judge", "handIn"), shown(undone));
        assertTrue(undone.contains("value=\"4\""), "as it was set");
        press(draft, Map.of("undo", "1"));
        press(draft, Map.of("redo", "1"));
        assertEquals(without, shown(press(draft, Map.of("redo", "1"))));
        assertEquals(without, shown(press(draft, Map.of("redo", "1"))), "nothing is left to redo");
        press(draft, Map.of("undo", "1"));
        Practical practical = set(draft);
        assertEquals(4, practical.measure("toe").orElseThrow().repeats());
        assertEquals(404, teacher.get(draft).statusCode(), "the draft has become the task");
        assertEquals("/tasks/" + id(draft), location(teacher.post(draft + "/set", Map.of())), "sent twice, set once");
    }

    /** Pressed on several connections in one instant, one task is set and each press is led to it. */
    @Test
    void setInTheSameInstant_oneTaskIsSet() throws Exception {
        String draft = begun("toe");
        var pool = Executors.newFixedThreadPool(8);
        try {
            Callable<String> press = () -> location(teacher.post(draft + "/set", Map.of("minutes", "45")));
            for (var led : pool.invokeAll(Collections.nCopies(8, press))) {
                assertEquals("/tasks/" + id(draft), led.get());
            }
        } finally {
            pool.shutdown();
        }
    }

    /** A press counts once however often it arrives, one of another tab is told, and nobody else sees a draft. */
    @Test
    void aDraft_isOnePersons_andAPressCountsOnce() {
        String draft = begun("toe");
        Map<String, String> add = new LinkedHashMap<>(Map.of("add", "measure:camber", "press", "a".repeat(32)));
        press(draft, add);
        String again = press(draft, add);
        assertTrue(shown(again).contains("camber") && !shown(again).contains("camber2"), again);
        Matcher seen = Pattern.compile("name=\"seen\" value=\"([0-9]+)\"").matcher(again);
        assertTrue(seen.find());
        assertFalse(
                press(draft, Map.of("title", "One tab", "seen", seen.group(1))).contains("in another tab"));
        String other = press(draft, Map.of("minutes", "50", "seen", seen.group(1)));
        assertTrue(
                other.contains("in another tab") && other.contains("One tab") && other.contains("value=\"50\""), other);
        var colleague = new Visitor(port).signIn(centres.plates().instructor().signIn(), Centre.PASSWORD);
        assertEquals(404, colleague.get(draft).statusCode());
        for (String path : List.of(draft, draft + "/set", draft + "/try")) {
            assertEquals(404, colleague.post(path, Map.of("title", "Mine")).statusCode(), path);
        }
        colleague.post(draft + "/discard", Map.of());
        assertEquals(200, teacher.get(draft).statusCode(), "it is still there");
        assertTrue(teacher.get("/tasks/new").body().contains("One tab"));
        teacher.post(draft + "/discard", Map.of());
        assertEquals(404, teacher.get(draft).statusCode());
    }

    /** Another start keeps what was set of the steps that stay, or nothing. */
    @Test
    void anotherStart_keepsWhatWasSet_whereThatIsWanted() {
        String draft = begun("toe");
        press(draft, Map.of("steps.toe.repeats", "5", "marks.toe.reading", "33"));
        String kept = press(draft, Map.of("begin", "camberAndToe", "keep", "on"));
        assertTrue(shown(kept).contains("camber") && kept.contains("Front camber and toe"), kept);
        assertTrue(kept.contains(REPEATS + "5\"") && kept.contains("value=\"33\""));
        String fresh = press(draft, Map.of("begin", "camberAndToe"));
        assertFalse(fresh.contains(REPEATS + "5\"") || fresh.contains("value=\"33\""));
    }

    /** How near is near enough is the task's to say, and its sheet says it to whoever adjusts. */
    @Test
    void aRound_saysHowNearIsEnough() {
        String draft = begun("toe");
        assertFalse(teacher.get(draft).body().contains("Inside the limits is not enough here"));
        assertTrue(press(draft, Map.of("steps.adjust.aim", "60")).contains("within 60 % of the way"));
        assertEquals(60, set(draft).of(Round.class).findFirst().orElseThrow().aim());
    }

    /** A figure that is a length on an axle comes on the bench like any other, answered in millimetres. */
    @Test
    void everyFamily_canBeAdded() {
        String draft = composed("handIn");
        for (Family family : Family.values()) {
            boolean any = Procedures.all().stream().anyMatch(p -> p.family() == family);
            assertEquals(
                    any,
                    shown(press(draft, Map.of("add", "measure:" + family.key())))
                            .contains(family.key()),
                    family.key());
        }
        String axle = composed("measure:axle", "work", "handIn");
        press(axle, Map.of("steps.axle.procedure", "setback"));
        Work.Item asked =
                set(axle).of(Work.class).findFirst().orElseThrow().asked().get(0);
        assertEquals("setback.front", asked.figure().key());
        assertEquals(AnswerUnit.MILLIMETRES, asked.unit());
    }

    /** Ticked, what must be read is asked of what can be moved; the apprentice's sheet beside the form shows it. */
    @Test
    void whatMustBeRead_isAskedByATick() {
        String draft = composed("measure:toe", "work", "handIn");
        press(draft, Map.of("steps.toe.procedure", "rearString"));
        String page = press(draft, Map.of("steps.work.target.toe", "on", "steps.work.target.caster", "on"));
        assertTrue(page.contains("left front: rim front against rim rear"), page);
        Target target =
                set(draft).of(Work.class).findFirst().orElseThrow().targets().get(0);
        assertEquals("toe", target.from());
        assertEquals("rearString", target.procedure().key());
    }

    /** Camber by inclinometer, once, judged. */
    private String camber(String rule) {
        String draft = composed("measure:camber", "judge", "handIn");
        press(draft, Map.of("steps.camber.procedure", "inclinometer"));
        press(draft, Map.of("steps.camber.repeats", "1", "rule", rule));
        return draft;
    }

    /** What a task is read with is chosen, and the bench says at once whether it can decide, and what would. */
    @Test
    void theBenchSays_whetherItCanDecide_andWhatWouldHelp() {
        String draft = camber("simple");
        String usual = teacher.get(draft).body();
        assertTrue(usual.contains("of a limit it is too close to tell"), usual);
        assertTrue(usual.contains("in 100 are too close to tell") && usual.contains("rule-wave"));
        String phone = press(draft, Map.of("steps.camber.tool.gauge", "phoneLevel"));
        assertTrue(
                phone.contains("Digital inclinometer for gauge on the rim: ")
                        || phone.contains("Digital inclinometer for the gauge on the rim: "),
                phone);
        assertTrue(share(phone) > share(usual) + 20, share(usual) + " " + share(phone));
        String tape = press(draft, Map.of("steps.camber.tool.gauge", "tape"));
        assertEquals(share(usual), share(tape), "a tape is no level: the usual one stays");
        press(draft, Map.of("steps.camber.tool.gauge", "phoneLevel"));
        assertEquals(
                Map.of("gauge", CatalogueInstrument.PHONE_LEVEL),
                set(draft).measure("camber").orElseThrow().procedure().tools());
    }

    private static int share(String page) {
        return Integer.parseInt(page.replaceFirst("(?s).*?tolerance, ([0-9]+) in 100 are too close to tell.*", "$1"));
    }

    /** A fault is said at its step, keeps the task from being set, and is mended by the press beside it. */
    @Test
    void whatCouldNeverBeCalledInside_isRefused_andMended() {
        String draft = camber("guarded");
        String page = press(draft, Map.of("steps.camber.tool.gauge", "phoneLevel"));
        assertTrue(page.contains("With guarded acceptance no vehicle could be judged inside"), page);
        assertEquals(422, teacher.post(draft + "/set", Map.of()).statusCode());
        assertTrue(page.contains("value=\"rule simple\""));
        assertFalse(press(draft, Map.of("mend", "rule simple")).contains("With guarded acceptance"));
        assertEquals(DecisionRule.SIMPLE, set(draft).rule());
    }

    @ParameterizedTest
    @CsvSource({
        "handIn,add handIn,toe work judge plan adjust closing prepare handIn",
        "'handIn,plan,judge,work',add handIn,toe adjust closing prepare handIn"
    })
    void whatIsMissing_isAddedByOnePress(String removed, String mend, String steps) {
        String draft = begun("toe");
        for (String step : removed.split(",")) {
            press(draft, Map.of("remove", step));
        }
        String page = teacher.get(draft).body();
        assertTrue(page.contains("no hand-in") && page.contains("value=\"" + mend + "\""), page);
        assertEquals(Set.of(steps.split(" ")), Set.copyOf(ids(set(draft, Map.of("mend", mend)))));
    }

    /** One wheel squared to the line holds none of the toe: only the total can be asked. */
    @Test
    void whereTheSteeringStands_isChosen_andNarrowsWhatIsAsked() {
        String draft = composed("measure:toe", "handIn");
        press(draft, Map.of("steps.toe.procedure", "strings"));
        String squared = press(draft, Map.of("steps.toe.steering", "squared"));
        assertTrue(squared.contains("With one front wheel squared to the line"), "the usual figures ask each wheel");
        assertTrue(squared.contains("value=\"steps.toe.steering clamped\""));
        press(draft, Map.of("steps.toe.figure.toe.front.left", "off", "steps.toe.figure.toe.front.right", "off"));
        assertEquals(Steering.SQUARED, set(draft).measure("toe").orElseThrow().steering());
    }

    /** A figure that two procedures are asked for is worked once and asked about: do they agree? */
    @Test
    void aFigureAskedTwice_isCompared() {
        String draft = composed("measure:toe", "measure:toe", "work", "judge", "handIn");
        press(draft, Map.of("steps.toe.procedure", "plates"));
        press(draft, Map.of("steps.toe2.procedure", "longBars"));
        Practical practical = set(draft);
        FigureId total = FigureId.parse("totalToe.front").orElseThrow();
        assertEquals(
                List.of(total),
                practical.of(Judge.class).findFirst().orElseThrow().compared());
        assertEquals(
                1, practical.of(Work.class).findFirst().orElseThrow().asked().size());
    }

    /** A band is read as its figure is: half a degree is no width of a length. */
    @ParameterizedTest
    @CsvSource({
        "1.5,",
        "1/8\",",
        "0.5°,“0.5°” was read. A band starts with a length",
        "0,“0” was read. A band starts with a length",
        "101,from 0.01 to 100 mm",
        "1e-50,“1e-50” was read. A band starts with a length",
        "0.009,from 0.01 to 100 mm",
        "1.5; 3 60%; 4.5 30 %,",
        "0.01,"
    })
    void aBand_isOfTheQuantityOfItsFigure(String typed, String said) {
        String draft = composed("measure:axle", "handIn");
        press(draft, Map.of("steps.axle.procedure", "setback"));
        String page = press(draft, Map.of("band.axle.reading.setback.front", typed));
        assertEquals(said == null, !page.contains("A band starts"), page);
        assertTrue(said == null || page.contains(said), typed);
    }

    /** It is said beside the field, what was typed stays there, and the right one mends it. */
    @ParameterizedTest
    @CsvSource({
        "minutes,601,60",
        "slipKeeps,101,50",
        "grades,'Merit 65, Pass 50','Pass 50, Merit 65'",
        "grades,50,Pass 50",
        "steps.toe.repeats,99,3",
        "steps.toe.repeats,none,3",
        "steps.adjust.most,7,2",
        "steps.adjust.aim,4,50",
        "'steps.prepare.why.protection','falls,,rust','falls, rust'",
        "marks.toe.reading,101,20",
        "marks.work.working,-3,20",
        "band.toe.reading.totalToe.front,wide,0.05"
    })
    void aFieldThatCanNotBe_isSaid_andWhatWasTypedIsKept(String field, String typed, String right) {
        String draft = begun("toe");
        String body = press(draft, Map.of(field, typed));
        assertTrue(body.contains("“" + typed + "”"), body);
        assertTrue(
                body.contains("name=\"" + field + "\" value=\"" + typed + "\"")
                        || body.contains("value=\"" + typed + "\""),
                "kept");
        assertTrue(
                body.matches("(?s).*<input[^>]*name=\"" + Pattern.quote(field) + "\"[^>]*aria-invalid=\"true\".*"),
                "heard by whoever does not see it");
        assertFalse(
                body.matches("(?s).*<details(?![^>]* open)[^>]*>(?:(?!</details>).)*“" + Pattern.quote(typed) + "”.*"),
                "folded away");
        assertEquals(422, teacher.post(draft + "/set", Map.of()).statusCode());
        assertFalse(press(draft, Map.of(field, right)).contains("“" + typed + "”"));
        set(draft);
    }

    /** A choice that is none changes nothing; a form that says nonsense is no reason to fail. */
    @ParameterizedTest
    @CsvSource({
        "school,C",
        "rule,strict",
        "mode,exam",
        "outcome,points",
        "unit,inches",
        "frontsTo,moon",
        "steps.toe.procedure,tape",
        "steps.toe.steering,anyhow"
    })
    void aChoiceThatIsNone_isRefused(String field, String typed) {
        String draft = begun("toe");
        press(draft, Map.of(field, typed));
        assertEquals(422, teacher.post(draft + "/set", Map.of()).statusCode());
    }

    @Test
    void nonsense_changesNothing() {
        String draft = begun("toe");
        List<String> steps = shown(teacher.get(draft).body());
        for (Map<String, String> form : List.of(
                Map.of("steps.none.repeats", "3"),
                Map.of("steps.", "3"),
                Map.of("steps.toe", "3"),
                Map.of("steps.toe.figure.nothing", "on"),
                Map.of("add", "measure:brakes"),
                Map.of("add", ""),
                Map.of("move", "up"),
                Map.of("move", "down:handIn"),
                Map.of("remove", "none"),
                Map.of("mend", "last"),
                Map.of("mend", "x y"),
                Map.of("begin", "brakes"),
                Map.of("sheet", "x", "class", "y"),
                Map.of("band.x", "1"),
                Map.of("marks.x", "1"),
                Map.of("undo", "1"))) {
            assertEquals(steps, shown(press(draft, form)), form.toString());
        }
        set(draft);
    }

    @Test
    void aProcedure_isRefusedWhatItCanNotSee_withItsReason() {
        String draft = composed("measure:toe", "handIn");
        press(draft, Map.of("steps.toe.procedure", "plates"));
        String page = press(draft, Map.of("steps.toe.figure.toe.front.left", "on"));
        assertTrue(page.contains("Plates measure only the total"), page);
        Matcher mend =
                Pattern.compile("value=\"(steps.toe.procedure [a-zA-Z]+)\"").matcher(page);
        assertTrue(mend.find(), page);
        assertFalse(press(draft, Map.of("mend", mend.group(1))).contains("Plates measure"));
        set(draft);
    }

    /** Copied, a task is itself; its next version keeps the vehicles that stand ready and brings a retired one back. */
    @Test
    void everyTask_comesBackAsItWasSet_alsoAsTheNextVersion() {
        Practical ungraded = tasks.task(centre.id(), centre.taskId()).practical();
        Practical first = ungraded.with(new Scheme(ungraded.scheme().criteria(), 0, List.of(new Grade("Pass", 60))));
        Map<String, String> grades = Map.of("grades", "Pass 60"); // a percentage needs its pass
        String copy = location(
                teacher.post("/tasks/drafts", Map.of("from", centre.taskId().toString())));
        assertEquals(TaskDocument.write(first), TaskDocument.write(set(copy, grades)));
        teacher.post("/tasks/" + centre.taskId() + "/retire", Map.of());
        String next = location(
                teacher.post("/tasks/drafts", Map.of("of", centre.taskId().toString())));
        press(next, Map.of("title", "The next one"));
        assertEquals(
                next,
                location(teacher.post(
                        "/tasks/drafts", Map.of("of", centre.taskId().toString()))),
                "it is gone on with");
        set(next, grades);
        TaskVersion second = tasks.task(centre.id(), id(next));
        assertEquals(2, second.version());
        assertEquals("The next one", second.title());
        assertEquals(tasks.bays(centre.id(), centre.taskId()), tasks.bays(centre.id(), second.id()), "in their state");
        List<UUID> listed =
                tasks.list(centre.id(), false).stream().map(TaskSummary::id).toList();
        assertTrue(listed.contains(second.id()) && !listed.contains(centre.taskId()));
    }

    @Test
    void aBayThatIsNoNumber_isSaid_andTheNoteIsKept() {
        String sheet =
                tasks.bays(centre.id(), centre.taskId()).get(0).sheet().id().toString();
        String path = "/tasks/" + centre.taskId();
        for (String bay : new String[] {"B4", "0", "4", "100", ""}) {
            var form = Map.of("bay", bay, "sheet", sheet, "note", "slots out");
            assertEquals(302, teacher.post(path + "/bays", form).statusCode());
            String page = teacher.get(path).body();
            assertTrue(page.contains("“" + bay + "” was read. Your workshop has no bay with this number."), bay);
            assertTrue(page.contains("value=\"slots out\""));
        }
        assertEquals(
                302,
                teacher.post(path + "/bays", Map.of("bay", " 1 ", "sheet", sheet))
                        .statusCode());
        assertEquals(1, tasks.bays(centre.id(), centre.taskId()).get(0).bay());
    }

    @Test
    void aSheetOrClassOfAnotherCentre_isNotAChoice() {
        var elsewhere = centres.plates();
        String sheet = tasks.bays(elsewhere.id(), elsewhere.taskId())
                .get(0)
                .sheet()
                .id()
                .toString();
        String draft = begun("toe");
        Practical own = set(draft, Map.of("sheet", sheet));
        assertEquals(List.of(), own.faults());
        assertFalse(tasks.bays(centre.id(), id(draft))
                .get(0)
                .sheet()
                .id()
                .toString()
                .equals(sheet));
        assertEquals(404, teacher.get("/tasks/" + elsewhere.taskId()).statusCode());
        assertEquals(
                404,
                teacher.get("/sketches/" + sheet + "/plates.css?figures=totalToe.front")
                        .statusCode());
        assertEquals(
                404,
                teacher.post("/tasks/" + centre.taskId() + "/bays", Map.of("bay", "1", "sheet", sheet))
                        .statusCode());
    }
}
