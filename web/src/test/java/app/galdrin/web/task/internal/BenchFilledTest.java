package app.galdrin.web.task.internal;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.IntermediateSteps;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Grade;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Reason;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.TaskDocument;
import app.galdrin.core.task.Work;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.account.People;
import app.galdrin.web.library.Library;
import app.galdrin.web.task.TaskSummary;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import jakarta.validation.Validator;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** What the bench makes of a practical that was set is that practical. */
@GaldrinTest
class BenchFilledTest {

    @Autowired
    private Tasks tasks;

    @Autowired
    private Library library;

    @Autowired
    private People people;

    @Autowired
    private Validator validator;

    @Autowired
    private JdbcTemplate jdbc;

    private List<TaskVersion> demo() {
        UUID centre = jdbc.queryForObject("select centre_id from person where sign_in = 'm.aldous'", UUID.class);
        List<TaskSummary> all = tasks.list(centre, false);
        assertTrue(all.size() > 5);
        return all.stream().map(t -> tasks.task(centre, t.id())).toList();
    }

    private Practical again(TaskVersion task) {
        var sheets = library.newestSheets(task.centreId());
        return new BenchForm(
                        BenchPrefill.with(task, sheets), sheets, people.classes(task.centreId()), "untitled", validator)
                .practical;
    }

    @Test
    void everyDemoTask_comesBack() {
        for (TaskVersion task : demo()) {
            assertEquals(TaskDocument.write(task.practical()), TaskDocument.write(again(task)), task.title());
        }
    }

    /** All that can be chosen, chosen otherwise than usual, and a list with items of the workshop's own. */
    @Test
    void whatWasChosen_comesBack() {
        for (TaskVersion task : demo()) {
            Practical usual = task.practical();
            if (!(usual.steps().get(0) instanceof Checklist)) {
                continue;
            }
            List<Step> steps = new ArrayList<>(usual.steps().stream()
                    .map(step -> step instanceof Work work ? asking(task, work) : step)
                    .toList());
            steps.set(
                    0,
                    new Checklist(
                            "prepare",
                            List.of(
                                    Checklist.PREPARATION.get(0),
                                    Checklist.PREPARATION.get(2),
                                    Checklist.PREPARATION.get(4),
                                    new Checklist.Item(
                                            "jackTagged",
                                            true,
                                            true,
                                            true,
                                            List.of(
                                                    new Reason(List.of("tag", "seen")),
                                                    new Reason(List.of("load")))))));
            List<Criterion> criteria = usual.scheme().criteria().stream()
                    .map(c -> new Criterion(c.id(), c.marks() + 1, !c.mustPass(), wider(c.bands())))
                    .toList();
            var chosen = new Practical(
                    "Another title",
                    usual.school(),
                    DecisionRule.SIMPLE,
                    usual.mode(),
                    usual.outcome(),
                    usual.minutes(),
                    steps,
                    new Scheme(criteria, 35, List.of(new Grade("Pass", 50), new Grade("Better", 70))));
            var changed = new TaskVersion(
                    task.id(),
                    task.centreId(),
                    task.seriesId(),
                    1,
                    chosen,
                    task.sheets(),
                    task.classId(),
                    task.className(),
                    task.createdAt());
            assertEquals(TaskDocument.write(chosen), TaskDocument.write(again(changed)), task.title());
        }
    }

    /** Words that can't be read stay as they were typed, and their field says what was read. */
    @Test
    void reasonsThatCanNotBeRead_stayAsTheyWereTyped() {
        TaskVersion task = demo().stream()
                .filter(t -> t.practical().step("prepare").isPresent())
                .findFirst()
                .orElseThrow();
        var sheets = library.newestSheets(task.centreId());
        var typed = BenchPrefill.with(task, sheets);
        String field = "why.prepare.protection";
        typed.set(field, "falls,,rust");
        var form = new BenchForm(typed, sheets, people.classes(task.centreId()), "untitled", validator);
        assertEquals("bench.why.fault", form.faults().get(field).key());
        assertEquals("falls,,rust", form.text(field));
    }

    /** Asking for everything on the way to its figures. */
    private static Work asking(TaskVersion task, Work work) {
        var standing = new MeasuringContext(task.sheets().get(0).sheet(), BayFloor.LEVEL);
        return new Work(
                work.id(),
                work.asked().stream()
                        .map(item -> {
                            Measure from = task.practical().measure(item.from()).orElseThrow();
                            var way = IntermediateSteps.any(from.procedure(), item.figure(), standing, from.taught());
                            return new Work.Item(item.figure(), item.from(), item.unit(), way.intermediates());
                        })
                        .toList(),
                work.targets());
    }

    /** To three places as a person types it, so that it is found again: alone, with where there is none, in steps. */
    private static Map<FigureId, Band> wider(Map<FigureId, Band> bands) {
        Map<FigureId, Band> wider = new LinkedHashMap<>();
        bands.forEach((figure, band) -> {
            boolean angle = figure.measurand().quantity() == Quantity.ANGLE;
            double full = angle ? Math.toRadians(0.321) : 4.321;
            double beyond = angle ? Math.toRadians(0.432) : 5.432;
            Band one = Band.from(full);
            wider.put(
                    figure,
                    List.of(one, new Band(full, beyond), Band.stepped(full, List.of(new Band.Step(beyond, 40))))
                            .get(wider.size() % 3));
        });
        return wider;
    }

    /** The next version keeps the vehicles that stand ready, is the one in the list, and brings a retired practical back. */
    @Test
    void theNextVersion_takesThePlaceOfTheOneBefore() {
        TaskVersion first = demo().get(0);
        UUID person = jdbc.queryForObject("select id from person where sign_in = 'm.aldous'", UUID.class);
        tasks.retire(person, first);
        assertTrue(tasks.retired(first));
        UUID id = UUID.randomUUID();
        List<UUID> sheets = first.sheets().stream().map(s -> s.id()).toList();
        Practical titled = first.practical().titled("The next one");
        tasks.set(id, first.centreId(), person, titled, sheets, first.classId(), Optional.of(first));
        TaskVersion second = tasks.task(first.centreId(), id);
        assertEquals(2, second.version());
        assertEquals(first.seriesId(), second.seriesId());
        assertEquals(
                List.of(2, 1),
                tasks.versions(first).stream().map(Tasks.Version::version).toList());
        assertEquals(
                tasks.bays(first.centreId(), first.id()), tasks.bays(first.centreId(), id), "in the state they are in");
        List<UUID> listed = tasks.list(first.centreId(), false).stream()
                .map(TaskSummary::id)
                .toList();
        assertTrue(listed.contains(id) && !listed.contains(first.id()));
        tasks.retire(person, second);
        assertTrue(tasks.list(first.centreId(), true).stream().anyMatch(t -> t.id().equals(id)));
        tasks.takeBack(second);
    }
}
