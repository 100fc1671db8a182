package app.galdrin.web.demo.internal;

import app.galdrin.core.measure.ToeMethod;
import app.galdrin.core.measure.ToeMethods;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.AnswerUnit;
import app.galdrin.core.task.MarkingScheme;
import app.galdrin.core.task.ToeAsked;
import app.galdrin.core.task.ToeTask;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.NewVehicle;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.Stage;
import app.galdrin.web.task.Mode;
import app.galdrin.web.task.OutcomeSchool;
import app.galdrin.web.task.TaskDraft;
import app.galdrin.web.task.Tasks;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Fills an empty database with the made-up municipal workshop, through the same services that people use. */
@Component
@Profile("demo")
public class DemoData implements ApplicationRunner {

    /** Of everyone in the demo; printed by the start command. */
    public static final String PASSWORD = "follow the string";

    private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);
    private static final int REPEATS = 2;

    private final People people;
    private final Library library;
    private final Tasks tasks;
    private final Sittings sittings;

    DemoData(People people, Library library, Tasks tasks, Sittings sittings) {
        this.people = people;
        this.library = library;
        this.tasks = tasks;
        this.sittings = sittings;
    }

    @Override
    @Transactional
    public void run(ApplicationArguments arguments) {
        if (people.nobody()) {
            load();
            LOG.info("demo data loaded");
        }
    }

    /** Loads the demo centre and gives its id. */
    @Transactional
    public UUID load() {
        UUID centre = people.makeCentre("Municipal Transport Workshop", "Europe/London");
        UUID aldous = people.add(centre, Role.INSTRUCTOR, "Maud Aldous", "m.aldous", PASSWORD);
        people.add(centre, Role.INSTRUCTOR, "Tunde Okonjo", "t.okonjo", PASSWORD);
        people.add(centre, Role.INSTRUCTOR, "Greta Sandvik", "g.sandvik", PASSWORD);
        people.add(centre, Role.VERIFIER, "Edit Varga", "e.varga", PASSWORD);
        people.add(centre, Role.OFFICE, "Workshop office", "office", PASSWORD);
        List<UUID> first = apprentices(
                centre,
                "Bo Lindqvist",
                "Rhea Haywood",
                "Idris Penwell",
                "Mina Castell",
                "Jory Adeyemi",
                "Saskia Thorne");
        List<UUID> second = apprentices(
                centre, "Piet Marlow", "Ana Quist", "Rowan Blake", "Lena Fosse", "Callum Ige", "Tove Harker");
        UUID classOne = people.makeClass(centre, "Vehicles 1A", first);
        UUID classTwo = people.makeClass(centre, "Vehicles 1B", second);
        UUID van = library.addVehicle(centre, DemoVehicles.PARCEL_VAN);
        UUID bus = library.addVehicle(centre, DemoVehicles.MINIBUS);
        SignedIn instructor = people.session(centre, aldous);

        UUID strings = set(
                instructor,
                "Front toe by two strings",
                van,
                DemoVehicles.PARCEL_VAN,
                classOne,
                ToeMethods.of("strings"),
                Mode.ASSESSMENT);
        runStrings(instructor, strings, first);
        UUID plates = set(
                instructor,
                "Front toe by plates",
                bus,
                DemoVehicles.MINIBUS,
                classTwo,
                ToeMethods.of("plates"),
                Mode.PRACTICE);
        tasks.open(centre, aldous, plates);
        reference(instructor, plates, DemoVehicles.MINIBUS, 0.46, 0.02);
        UUID practice = set(
                instructor,
                "Strings: first try",
                van,
                DemoVehicles.PARCEL_VAN,
                classTwo,
                ToeMethods.of("strings"),
                Mode.PRACTICE);
        runHalfway(instructor, practice, second.get(0));
        return centre;
    }

    private List<UUID> apprentices(UUID centre, String... names) {
        List<UUID> ids = new ArrayList<>();
        for (String name : names) {
            String signIn = name.toLowerCase(Locale.ROOT).charAt(0) + "."
                    + name.toLowerCase(Locale.ROOT).substring(name.indexOf(' ') + 1);
            ids.add(people.add(centre, Role.APPRENTICE, name, signIn, PASSWORD));
        }
        return ids;
    }

    private UUID set(
            SignedIn me, String title, UUID sheet, NewVehicle vehicle, UUID classId, ToeMethod method, Mode mode) {
        SpecificationSheet spec = vehicle.sheet();
        var scheme = MarkingScheme.defaults(method, spec.geometry(), REPEATS);
        ToeAsked asked = method == ToeMethods.of("strings") ? ToeAsked.TOTAL_AND_EACH : ToeAsked.TOTAL;
        var toe = new ToeTask(
                spec, asked, method, REPEATS, AnswerUnit.DEGREES, DecisionRule.SIMPLE, ToeTask.PREPARATION, scheme);
        return tasks.set(
                me.centreId(),
                me.personId(),
                new TaskDraft(title, sheet, classId, toe, mode, OutcomeSchool.COMPETENCE));
    }

    /** One sitting of each kind an instructor meets: flawless, and with a slip that the marker knows by name. */
    private void runStrings(SignedIn instructor, UUID task, List<UUID> class1) {
        double left = 0.27;
        double right = 0.09;
        tasks.open(instructor.centreId(), instructor.personId(), task);
        reference(instructor, task, DemoVehicles.PARCEL_VAN, left, right);
        List<DemoApprentice.Habit> habits = List.of(
                DemoApprentice.Habit.CAREFUL,
                DemoApprentice.Habit.WRONG_SIGN,
                DemoApprentice.Habit.ONE_WHEEL_FOR_TOTAL,
                DemoApprentice.Habit.MILLIMETRES,
                DemoApprentice.Habit.SIDES_SWAPPED);
        for (int i = 0; i < habits.size(); i++) {
            Sitting sitting = begin(instructor, task, class1.get(i), 1 + i % 3);
            var apprentice = new DemoApprentice(
                    sittings, people.session(instructor.centreId(), class1.get(i)), sitting, 100 + i);
            apprentice.doAll(habits.get(i), left, right);
            asLeftReference(instructor, sitting, 200 + i);
        }
        tasks.close(instructor.centreId(), task);
    }

    private void runHalfway(SignedIn instructor, UUID task, UUID person) {
        tasks.open(instructor.centreId(), instructor.personId(), task);
        reference(instructor, task, DemoVehicles.PARCEL_VAN, 0.02, 0.07);
        Sitting sitting = begin(instructor, task, person, 2);
        new DemoApprentice(sittings, people.session(instructor.centreId(), person), sitting, 300).readHalf(0.02, 0.07);
    }

    private Sitting begin(SignedIn instructor, UUID task, UUID person, int bay) {
        var opening = tasks.current(instructor.centreId(), task).orElseThrow();
        return sittings.sitting(instructor, sittings.begin(opening, person, bay));
    }

    private void reference(SignedIn me, UUID taskId, NewVehicle vehicle, double left, double right) {
        var task = tasks.task(me.centreId(), taskId);
        Sitting reference = sittings.sitting(me, sittings.referenceAsFound(me, task));
        var readings = new DemoReadings(vehicle.sheet().geometry(), 7);
        writeReadings(sittings, me, reference, Stage.AS_FOUND, readings, left, right);
    }

    private void asLeftReference(SignedIn me, Sitting sitting, long seed) {
        Sitting reference = sittings.sitting(me, sittings.referenceAsLeft(me, sitting));
        var readings = new DemoReadings(sitting.task().sheet().sheet().geometry(), seed);
        writeReadings(sittings, me, reference, Stage.AS_LEFT, readings, -0.05, -0.03);
    }

    /** Every repeat of a stage, written place by place. */
    static void writeReadings(
            Sittings sittings,
            SignedIn me,
            Sitting sitting,
            Stage stage,
            DemoReadings readings,
            double left,
            double right) {
        var toe = sitting.task().toe();
        for (int repeat = 1; repeat <= toe.repeats(); repeat++) {
            Map<String, Double> one = readings.read(toe.method(), left, right);
            for (var place : toe.method().places()) {
                if (place.eachRepeat() || repeat == 1) {
                    String text = QuantityFormat.length(one.getOrDefault(place.id(), 0.0));
                    DemoApprentice.write(
                            sittings, me, sitting, stage, place.id(), place.eachRepeat() ? repeat : 0, text);
                }
            }
        }
    }
}
