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
import app.galdrin.core.procedure.Intermediate;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Suspension;
import app.galdrin.core.spec.Vehicle;
import app.galdrin.core.spec.written.WrittenSheet;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Grade;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Steering;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Target;
import app.galdrin.core.task.Work;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import app.galdrin.web.library.Library;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
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

    private Practical set(Map<String, String> form) {
        var response = teacher.post("/tasks/new", form);
        assertEquals(302, response.statusCode(), response.body());
        String path = URI.create(response.headers().firstValue("Location").orElseThrow())
                .getPath();
        return tasks.task(centre.id(), UUID.fromString(path.substring(path.lastIndexOf('/') + 1)))
                .practical();
    }

    private static List<String> ids(Practical practical) {
        return practical.steps().stream().map(Step::id).toList();
    }

    private String bench(Map<String, String> fields) {
        return teacher.get("/tasks/new?"
                        + fields.entrySet().stream()
                                .map(f -> f.getKey() + "=" + URLEncoder.encode(f.getValue(), StandardCharsets.UTF_8))
                                .collect(Collectors.joining("&")))
                .body();
    }

    @ParameterizedTest
    @CsvSource({
        "toe,prepare toe work judge plan adjust closing handIn,115",
        "camberAndToe,prepare camber toe work judge plan adjust closing handIn,115",
        "fullFront,prepare caster camber toe work judge plan adjust closing handIn,118",
    })
    void aStart_isSetAsItIs(String start, String steps, int marks) {
        var practical = set(Map.of("start", start));
        assertEquals(List.of(steps.split(" ")), ids(practical));
        assertEquals(marks, practical.scheme().available());
        assertEquals(List.of(), practical.faults());
        assertTrue(practical.scheme().criteria().stream()
                .anyMatch(c -> c.id().key().equals("prepare.critical") && c.mustPass()));
    }

    @Test
    void theStartOfABeamAxle_isForAVehicleThatHasOne() {
        assertEquals(
                422, teacher.post("/tasks/new", Map.of("start", "beamAxle")).statusCode());
        var van = tasks.bays(centre.id(), centre.taskId()).get(0).sheet().sheet();
        var lorry = new SpecificationSheet(
                van.geometry().on(Suspension.BEAM, Suspension.RIGID), van.lines(), van.adjusters(), van.fasteners());
        var vehicle = new Vehicle("Ostrick", "Lectern 75", "library", "On a beam", Axle.REAR, Side.RIGHT);
        UUID sheet = library.addVehicle(centre.id(), new WrittenSheet.ParsedSheet(vehicle, lorry), null)
                .orElseThrow();
        var practical = set(Map.of("start", "beamAxle", "sheet", sheet.toString()));
        assertEquals(
                List.of("prepare caster kpi toe work judge plan adjust closing handIn".split(" ")), ids(practical));
        assertEquals(118, practical.scheme().available());
    }

    @Test
    void everythingChosen_isWhatIsSet() {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("start", "toe");
        form.put("order", "prepare,toe,work,handIn");
        form.put("kind.prepare", "checklist");
        form.put("listed.prepare", "1");
        form.put("items.prepare", "condition");
        form.put("kind.toe", "measure");
        form.put("procedure.toe", "plates");
        form.put("figures.toe", "totalToe.front");
        form.put("repeats.toe", "3");
        form.put("kind.work", "work");
        form.put("kind.handIn", "handIn");
        form.put("unit.totalToe.front", "mm");
        form.put("steps", "work");
        form.put("title", "  Plates, guarded  ");
        form.put("rule", "guarded");
        form.put("mode", "practice");
        form.put("outcome", "graded");
        form.put("minutes", "45");
        form.put("marks.work.working", "40");
        form.put("schemed.work.working", "1");
        form.put("must.work.working", "on");
        form.put("band.toe.reading.totalToe.front", "0°06'");
        form.put("slipKeeps", "25");
        form.put("grades", "Pass 50, With merit 65 %");
        var practical = set(form);
        assertEquals("Plates, guarded", practical.title());
        assertEquals(List.of("prepare", "toe", "work", "handIn"), ids(practical));
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

    /** Adding, moving and taking out are buttons of the form, so they work without a script. */
    @Test
    void stepsAreAdded_movedAndTakenOut_byButtons() {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("start", "toe");
        form.put("order", "prepare,toe,work,handIn");
        form.put("kind.prepare", "checklist");
        form.put("kind.toe", "measure");
        form.put("procedure.toe", "strings");
        form.put("kind.work", "work");
        form.put("kind.handIn", "handIn");
        form.put("add", "measure:camber");
        assertTrue(bench(form).contains("value=\"prepare,toe,camber,work,handIn\""));
        form.put("order", "prepare,toe,camber,work,handIn");
        form.put("kind.camber", "measure");
        form.put("procedure.camber", "protractor");
        form.remove("add");
        form.put("move", "up:camber");
        assertTrue(bench(form).contains("value=\"prepare,camber,toe,work,handIn\""));
        form.put("order", "prepare,camber,toe,work,handIn");
        form.put("move", "down:camber");
        assertTrue(bench(form).contains("value=\"prepare,camber,toe,work,handIn\""), "against the school's order");
        form.remove("move");
        form.put("remove", "toe");
        assertTrue(bench(form).contains("value=\"prepare,camber,work,handIn\""));
    }

    /** How near is near enough is the task's to say, and its sheet says it to whoever adjusts. */
    @Test
    void aRound_saysHowNearIsEnough() {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("order", "toe,adjust,handIn");
        form.put("kind.toe", "measure");
        form.put("procedure.toe", "strings");
        form.put("kind.adjust", "round");
        form.put("kind.handIn", "handIn");
        assertFalse(bench(form).contains("Inside the limits is not enough here"));
        form.put("aim.adjust", "60");
        assertTrue(bench(form).contains("within 60 % of the way from the preferred value"));
        form.put("title", "Near the middle");
        assertEquals(60, set(form).of(Round.class).findFirst().orElseThrow().aim());
    }

    /** A figure that is a length on an axle comes on the bench like any other, answered in millimetres. */
    @Test
    void everyFamily_canBeAdded() {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("order", "handIn");
        form.put("kind.handIn", "handIn");
        for (Family family : Family.values()) {
            boolean any = Procedures.all().stream().anyMatch(p -> p.family() == family);
            form.put("add", "measure:" + family.key());
            assertEquals(any, bench(form).contains("value=\"" + family.key() + ",handIn\""), family.key());
        }
        form.remove("add");
        form.put("order", "axle,work,handIn");
        form.put("kind.axle", "measure");
        form.put("procedure.axle", "setback");
        form.put("kind.work", "work");
        Work.Item asked =
                set(form).of(Work.class).findFirst().orElseThrow().asked().get(0);
        assertEquals("setback.front", asked.figure().key());
        assertEquals(AnswerUnit.MILLIMETRES, asked.unit());
    }

    /** Ticked, what must be read is asked of what can be moved; the apprentice's sheet beside the form shows it. */
    @Test
    void whatMustBeRead_isAskedByATick() {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("start", "toe");
        form.put("order", "toe,work,handIn");
        form.put("kind.toe", "measure");
        form.put("procedure.toe", "rearString");
        form.put("kind.work", "work");
        form.put("kind.handIn", "handIn");
        assertEquals(
                List.of(), set(form).of(Work.class).findFirst().orElseThrow().targets());
        form.put("target.toe", "1");
        form.put("target.caster", "1");
        String page = bench(form);
        assertTrue(page.contains("left front: rim front against rim rear"), page);
        Target target =
                set(form).of(Work.class).findFirst().orElseThrow().targets().get(0);
        assertEquals("toe", target.from());
        assertEquals("rearString", target.procedure().key());
    }

    /** Camber by one procedure, judged. */
    private static Map<String, String> camber(String procedure, String rule) {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("order", "camber,judge,handIn");
        form.put("kind.camber", "measure");
        form.put("procedure.camber", procedure);
        form.put("repeats.camber", "1");
        form.put("kind.judge", "judge");
        form.put("kind.handIn", "handIn");
        form.put("rule", rule);
        return form;
    }

    /** What a task is read with is chosen, and the bench says at once whether it can decide, and what would. */
    @Test
    void theBenchSays_whetherItCanDecide_andWhatWouldHelp() {
        Map<String, String> form = camber("inclinometer", "simple");
        String usual = bench(form);
        assertTrue(usual.contains("of a limit it is too close to tell"), usual);
        assertTrue(usual.contains("in 100 are too close to tell") && usual.contains("rule-wave"));
        form.put("tool.camber.gauge", "phoneLevel");
        String phone = bench(form);
        assertTrue(phone.contains("Digital inclinometer for the gauge on the rim: "), phone);
        assertTrue(share(phone) > share(usual) + 20, share(usual) + " " + share(phone));
        Measure read = set(form).measure("camber").orElseThrow();
        assertEquals(
                Map.of("gauge", CatalogueInstrument.PHONE_LEVEL),
                read.procedure().tools());
        form.put("tool.camber.gauge", "tape");
        assertEquals(
                Map.of(),
                set(form).measure("camber").orElseThrow().procedure().tools(),
                "a tape is no level: the usual one stays");
    }

    private static int share(String page) {
        return Integer.parseInt(page.replaceFirst("(?s).*?tolerance, ([0-9]+) in 100 are too close to tell.*", "$1"));
    }

    @Test
    void whatCouldNeverBeCalledInside_isRefused() {
        Map<String, String> form = camber("inclinometer", "guarded");
        form.put("tool.camber.gauge", "phoneLevel");
        String page = bench(form);
        assertTrue(page.contains("With guarded acceptance no vehicle could be judged inside"), page);
        assertEquals(422, teacher.post("/tasks/new", form).statusCode(), "not set, and what was typed is kept");
        form.put("rule", "simple");
        assertEquals(302, teacher.post("/tasks/new", form).statusCode());
    }

    /** One wheel squared to the line holds none of the toe: only the total can be asked. */
    @Test
    void whereTheSteeringStands_isChosen_andNarrowsWhatIsAsked() {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("order", "toe,handIn");
        form.put("kind.toe", "measure");
        form.put("procedure.toe", "strings");
        form.put("steering.toe", "squared");
        form.put("kind.handIn", "handIn");
        assertTrue(
                bench(form).contains("With one front wheel squared to the line"), "the usual figures ask each wheel");
        form.put("figures.toe", "totalToe.front");
        assertEquals(Steering.SQUARED, set(form).measure("toe").orElseThrow().steering());
        form.put("steering.toe", "anyhow");
        assertEquals(Steering.CLAMPED, set(form).measure("toe").orElseThrow().steering());
    }

    /** A figure that two procedures are asked for is worked once and asked about: do they agree? */
    @Test
    void aFigureAskedTwice_isCompared() {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("order", "toe,toe2,work,judge,handIn");
        form.put("kind.toe", "measure");
        form.put("procedure.toe", "plates");
        form.put("kind.toe2", "measure");
        form.put("procedure.toe2", "longBars");
        form.put("kind.work", "work");
        form.put("kind.judge", "judge");
        form.put("kind.handIn", "handIn");
        Practical practical = set(form);
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
        Map<String, String> form = new LinkedHashMap<>();
        form.put("order", "axle,handIn");
        form.put("kind.axle", "measure");
        form.put("procedure.axle", "setback");
        form.put("kind.handIn", "handIn");
        form.put("band.axle.reading.setback.front", typed);
        String page = bench(form);
        assertEquals(said == null, !page.contains("A band starts"), page);
        assertTrue(said == null || page.contains(said), typed);
    }

    @ParameterizedTest
    @CsvSource({
        "school,C",
        "rule,strict",
        "mode,exam",
        "outcome,points",
        "start,brakes",
        "unit,inches",
        "minutes,601",
        "slipKeeps,101",
        "grades,'Merit 65, Pass 50'",
        "grades,50",
        "most.adjust,7",
        "aim.adjust,4",
        "marks.toe.reading,101",
        "band.toe.reading.totalToe.front,wide"
    })
    void aFieldThatCanNotBe_isSaid(String field, String typed) {
        var response = teacher.post("/tasks/new", Map.of(field, typed));
        assertEquals(422, response.statusCode());
        assertTrue(response.body().contains("“" + typed + "”"), response.body());
        assertFalse(
                response.body().matches("(?s).*<details(?![^>]* open)[^>]*>(?:(?!</details>).)*“" + typed + "”.*"),
                "folded away");
    }

    @Test
    void aProcedure_isRefusedWhatItCanNotSee_withItsReason() {
        String plates = "order=toe,handIn&kind.toe=measure&procedure.toe=plates&kind.handIn=handIn&figures.toe=";
        String preview = teacher.get("/tasks/new?part=preview&" + plates + "toe.front.left")
                .body();
        assertTrue(preview.startsWith("<aside"), preview);
        assertTrue(preview.contains("Plates measure only the total"), preview);
        assertFalse(teacher.get("/tasks/new?part=preview&" + plates + "totalToe.front")
                .body()
                .contains("Plates measure"));
    }

    @Test
    void whatIsWrong_isAllSaid_andWhatWasTypedIsKept() {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("title", "Kept title");
        form.put("repeats.toe", "99");
        form.put("order", "prepare,toe,work,handIn");
        form.put("kind.prepare", "checklist");
        form.put("kind.toe", "measure");
        form.put("kind.work", "work");
        form.put("kind.handIn", "handIn");
        form.put("band.toe.reading.totalToe.front", "wide");
        form.put("marks.work.working", "-3");
        form.put("minutes", "soon");
        HttpResponse<String> page = teacher.post("/tasks/new", form);
        assertEquals(422, page.statusCode());
        for (String part : new String[] {
            "“99” was read",
            "“wide” was read",
            "“-3” was read",
            "“soon” was read",
            "value=\"Kept title\"",
            "value=\"99\""
        }) {
            assertTrue(page.body().contains(part), part);
        }
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
        var response = teacher.post("/tasks/new", Map.of("sheet", sheet));
        assertEquals(422, response.statusCode());
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
