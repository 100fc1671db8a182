package app.galdrin.web;

import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Vehicle;
import app.galdrin.core.spec.written.WrittenSheet;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.ReadyList;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.Work;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Bays;
import app.galdrin.web.bay.Facing;
import app.galdrin.web.bay.NewSurvey;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.library.Library;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.task.Tasks;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.boot.test.context.TestComponent;
import org.springframework.cache.CacheManager;
import org.springframework.jdbc.core.JdbcTemplate;

/** Makes centres for tests, with a vehicle like the demo's van. */
@TestComponent
public class TestCentres {

    private final People people;
    private final Library library;
    private final Tasks tasks;
    private final JdbcTemplate jdbc;
    private final Sittings sittings;
    private final VehicleReferences vehicles;
    private final Entries entries;
    private final MarkSheets sheets;
    private final Bays bays;
    private final CacheManager caches;

    TestCentres(
            People people,
            Library library,
            Tasks tasks,
            JdbcTemplate jdbc,
            Sittings sittings,
            VehicleReferences vehicles,
            Entries entries,
            MarkSheets sheets,
            Bays bays,
            CacheManager caches) {
        this.caches = caches;
        this.bays = bays;
        this.sittings = sittings;
        this.vehicles = vehicles;
        this.entries = entries;
        this.sheets = sheets;
        this.people = people;
        this.library = library;
        this.tasks = tasks;
        this.jdbc = jdbc;
    }

    /** A centre with one task, front toe by plates, open to its class of two. */
    public Centre plates() {
        return plates(1);
    }

    /** The same with up to so many rounds of adjusting. */
    public Centre plates(int rounds) {
        return with(sheet -> byPlates(sheet, rounds));
    }

    /** A centre with caster, camber and toe to do. */
    public Centre fullFront() {
        return with(sheet -> TaskStart.FULL_FRONT.on(sheet, "All of it", OrderSchool.A, AnswerUnit.DEGREES));
    }

    public Centre with(Function<SpecificationSheet, Practical> practical) {
        UUID demo = jdbc.queryForObject("select centre_id from person where sign_in = 'm.aldous'", UUID.class);
        var sheet = library.newestSheets(demo).stream()
                .filter(s -> s.vehicle().model().startsWith("Parcel"))
                .findFirst()
                .orElseThrow();
        String tag = Ids.next().toString().substring(24);
        UUID centre = people.makeCentre("Centre " + tag, "Europe/London");
        UUID teacher = people.add(centre, Role.INSTRUCTOR, "Teacher " + tag, "t." + tag, Centre.PASSWORD);
        UUID first = people.add(centre, Role.APPRENTICE, "First " + tag, "a." + tag, Centre.PASSWORD);
        UUID second = people.add(centre, Role.APPRENTICE, "Second " + tag, "b." + tag, Centre.PASSWORD);
        UUID group = people.makeClass(centre, "Class", List.of(first, second)).orElseThrow();
        UUID vehicle = library.addVehicle(
                        centre,
                        new WrittenSheet.ParsedSheet(
                                new Vehicle("Quendle", "Parcel 9", "small van", "T " + tag, Axle.FRONT, Side.RIGHT),
                                sheet.sheet()),
                        null)
                .orElseThrow();
        UUID task = tasks.set(centre, teacher, practical.apply(sheet.sheet()), List.of(vehicle), group);
        bays.add(centre, 1, "");
        bays.survey(centre, teacher, new NewSurvey(1, 0, 0, 0, Facing.FAR_END, LocalDate.of(2026, 1, 5)));
        tasks.preset(centre, teacher, task, 1, vehicle, null);
        return new Centre(
                centre,
                people.session(centre, teacher),
                people.session(centre, first),
                people.session(centre, second),
                task,
                tasks.open(centre, teacher, task).code());
    }

    /** Another vehicle with the sheet of the first, in a bay that is made for it; the centre's task may be sat on it. */
    public UUID otherVehicle(Centre centre, int bay) {
        var first = tasks.bays(centre.id(), centre.taskId()).get(0).sheet();
        String tag = Ids.next().toString().substring(24);
        UUID sheet = library.addVehicle(
                        centre.id(),
                        new WrittenSheet.ParsedSheet(
                                new Vehicle("Quendle", "Parcel 9", "small van", "U " + tag, Axle.FRONT, Side.RIGHT),
                                first.sheet()),
                        null)
                .orElseThrow();
        jdbc.update(
                "insert into task_sheet (centre_id, task_id, sheet_id, ordinal) values (?, ?, ?, ?)",
                centre.id(),
                centre.taskId(),
                sheet,
                bay);
        Objects.requireNonNull(caches.getCache("tasks")).clear();
        bays.add(centre.id(), bay, "");
        tasks.preset(centre.id(), centre.instructor().personId(), centre.taskId(), bay, sheet, null);
        return sheet;
    }

    /** The instructor's readings of the plates' vehicle: 3 mm over 500, which is 0.34 degrees. */
    public void reference(Centre centre) {
        UUID reference = vehicles.referenceAsFound(centre.instructor(), tasks.task(centre.id(), centre.taskId()), 1);
        read(centre.instructor(), sittings.sitting(centre.instructor(), reference));
    }

    private void read(SignedIn who, Sitting sitting) {
        for (int repeat = 1; repeat <= 2; repeat++) {
            Centre.write(sittings, entries, who, sitting, "found/frontDistance/" + repeat + "/0", "1905");
            Centre.write(sittings, entries, who, sitting, "found/rearDistance/" + repeat + "/0", "1908");
        }
    }

    /** Somebody new who reads the same, writes what it comes to as he will, and hands in. */
    public Sitting sat(Centre centre, String name, String total, boolean signed) {
        UUID id = people.add(centre.id(), Role.APPRENTICE, name, name + "." + centre.id(), Centre.PASSWORD);
        var opening = tasks.current(centre.id(), centre.taskId()).orElseThrow();
        Sitting sitting = sittings.sitting(centre.instructor(), sittings.begin(opening, id, null));
        SignedIn who = people.session(centre.id(), id);
        read(who, sitting);
        Centre.write(sittings, entries, who, sitting, "work/totalToe.front/0/0", total);
        Centre.write(sittings, entries, who, sitting, "handIn/done/0/0", "done");
        if (signed) {
            assertTrue(
                    sheets.sign(centre.instructor(), sitting, UUID.randomUUID().toString())
                            .isEmpty());
        }
        return sitting;
    }

    /** Returns front toe by plates, with up to so many rounds of adjusting. */
    public static Practical byPlates(SpecificationSheet sheet, int rounds) {
        var plates = Procedures.of("plates");
        var total = List.of(FigureId.of(Measurand.TOTAL_TOE, Axle.FRONT));
        var bare = new Practical(
                "Plates",
                OrderSchool.A,
                DecisionRule.SIMPLE,
                Mode.ASSESSMENT,
                OutcomeSchool.GRADED,
                Optional.of(45),
                List.of(
                        new Checklist("prepare", ReadyList.PREPARATION.items()),
                        Measure.of("found", plates, total, 2),
                        new Work("work", List.of(new Work.Item(total.get(0), "found", AnswerUnit.DEGREES))),
                        new Judge("judge", total),
                        new Plan("plan", total),
                        new Round("adjust", List.of(Measure.of("left", plates, total, 2)), rounds),
                        new HandIn("handIn")),
                new Scheme(List.of(), 0));
        return TaskStart.withDefaults(bare, sheet);
    }
}
