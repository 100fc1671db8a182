package app.galdrin.web.demo.internal;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.simulated.Habit;
import app.galdrin.core.spec.written.WrittenSheet;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.Practical;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Bays;
import app.galdrin.web.bay.Facing;
import app.galdrin.web.bay.NewSurvey;
import app.galdrin.web.library.Library;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleMoves;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.task.Tasks;
import java.time.LocalDate;
import java.util.List;
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

    private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);

    /** The bays of the vehicles. */
    private static final int VAN_BAY = 1;

    private static final int BUS_BAY = 2;
    private static final int RANGER_BAY = 3;
    private static final int LORRY_BAY = 4;
    private static final int OTHER_VAN_BAY = 5;

    /** The minibus as its instructor set it for both tasks that use it. */
    private static final Truth BUS_AS_SET = DemoStates.front(3.1, 0.2, 0.46, 0.02);

    /** Standard uncertainty of the surveys, deg. */
    private static final double SURVEYED = 0.03;

    private final People people;
    private final Library library;
    private final Tasks tasks;
    private final Sittings sittings;
    private final VehicleReferences vehicles;
    private final VehicleMoves moves;
    private final Entries entries;
    private final SittingMarks sittingMarks;
    private final Bays bays;
    private final DemoEquipment equipment;
    private final PastBlock block;

    DemoData(
            People people,
            Library library,
            Tasks tasks,
            Sittings sittings,
            VehicleReferences vehicles,
            VehicleMoves moves,
            Entries entries,
            SittingMarks sittingMarks,
            Bays bays,
            DemoEquipment equipment,
            PastBlock block) {
        this.equipment = equipment;
        this.block = block;
        this.people = people;
        this.library = library;
        this.tasks = tasks;
        this.sittings = sittings;
        this.vehicles = vehicles;
        this.moves = moves;
        this.entries = entries;
        this.sittingMarks = sittingMarks;
        this.bays = bays;
    }

    @Override
    @Transactional
    public void run(ApplicationArguments arguments) {
        if (people.nobody()) {
            load();
            LOG.info("demo data loaded");
        }
    }

    /** The people of the demo, and their classes. */
    private record Cast(
            UUID centre,
            UUID aldous,
            SignedIn instructor,
            SignedIn verifier,
            List<UUID> first,
            List<UUID> second,
            UUID classOne,
            UUID classTwo) {}

    /** Loads the demo centre and gives its id. */
    @Transactional
    public UUID load() {
        Cast cast = cast(people.makeCentre("Municipal Transport Workshop", "Europe/London"));
        UUID van = vehicle(cast.centre(), DemoVehicles.PARCEL_VAN);
        bays(cast);
        equipment.load(cast.instructor());
        UUID bus = vehicle(cast.centre(), DemoVehicles.MINIBUS);
        runStrings(
                cast.instructor(),
                set(cast, strings(Mode.ASSESSMENT, "Front toe by two strings"), van, cast.classOne()),
                van,
                cast.first());
        plates(cast, bus);
        block.load(cast.instructor(), cast.verifier(), van);
        UUID otherVan = vehicle(cast.centre(), DemoVehicles.SECOND_VAN);
        UUID practice = set(cast, strings(Mode.PRACTICE, "Strings: first try"), otherVan, cast.classTwo());
        tasks.preset(cast.centre(), cast.aldous(), practice, OTHER_VAN_BAY, otherVan, null);
        runHalfway(cast.instructor(), practice, cast.second().get(0));
        UUID full = tasks.set(
                cast.centre(),
                cast.aldous(),
                DemoTasks.fullFront(DemoVehicles.PARCEL_VAN.sheet()),
                List.of(van, bus),
                cast.classTwo());
        runFull(cast.instructor(), full, van, bus, cast.second());
        bothEnds(cast);
        set(cast, DemoTasks.wholeJob(), otherVan, cast.classTwo());
        return cast.centre();
    }

    private Cast cast(UUID centre) {
        UUID aldous = add(centre, Role.INSTRUCTOR, List.of("Maud Aldous", "Tunde Okonjo", "Greta Sandvik"))
                .get(0);
        UUID varga = people.add(centre, Role.VERIFIER, "Edit Varga", "e.varga", DemoPeople.PASSWORD);
        people.add(centre, Role.OFFICE, "Workshop office", "office", DemoPeople.PASSWORD);
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
        return new Cast(
                centre,
                aldous,
                people.session(centre, aldous),
                people.session(centre, varga),
                first,
                second,
                people.makeClass(centre, "Vehicles 1A", first).orElseThrow(),
                people.makeClass(centre, "Vehicles 1B", second).orElseThrow());
    }

    private void bays(Cast cast) {
        bay(cast.centre(), cast.aldous(), VAN_BAY, "by the door", 0.1, -0.2);
        bay(cast.centre(), cast.aldous(), BUS_BAY, "four-post lift", 0.0, 0.35);
        bay(cast.centre(), cast.aldous(), RANGER_BAY, "scissor lift", -0.15, 0.05);
        bay(cast.centre(), cast.aldous(), LORRY_BAY, "heavy bay", 0.2, 0.1);
        bay(cast.centre(), cast.aldous(), OTHER_VAN_BAY, "back wall", -0.05, -0.1);
    }

    private UUID set(Cast cast, Practical practical, UUID sheet, UUID group) {
        return tasks.set(cast.centre(), cast.aldous(), practical, List.of(sheet), group);
    }

    private static Practical strings(Mode mode, String title) {
        return DemoTasks.toe(DemoVehicles.PARCEL_VAN, "strings", title, mode);
    }

    private void plates(Cast cast, UUID bus) {
        Practical practical = DemoTasks.askingWhy(
                DemoVehicles.MINIBUS,
                DemoTasks.toe(DemoVehicles.MINIBUS, "plates", "Front toe by plates", Mode.PRACTICE));
        UUID plates = set(cast, practical, bus, cast.classTwo());
        tasks.preset(cast.centre(), cast.aldous(), plates, BUS_BAY, bus, "Left rod a turn long");
        tasks.open(cast.centre(), cast.aldous(), plates);
        reference(cast.instructor(), plates, BUS_BAY, BUS_AS_SET);
    }

    /** The library on its beam axle, and the ranger that is adjusted at both ends. */
    private void bothEnds(Cast cast) {
        UUID lorry = vehicle(cast.centre(), DemoVehicles.MOBILE_LIBRARY);
        UUID ranger = nextIssue(cast.centre(), vehicle(cast.centre(), DemoVehicles.RANGER), cast.aldous());
        Practical onBeam = TaskStart.BEAM_AXLE
                .on(
                        DemoVehicles.MOBILE_LIBRARY.sheet(),
                        "Beam axle: the mobile library",
                        OrderSchool.A,
                        AnswerUnit.DEGREES)
                .with(Mode.PRACTICE);
        UUID beam = set(cast, onBeam, lorry, cast.classTwo());
        runBoth(
                cast.instructor(),
                beam,
                lorry,
                LORRY_BAY,
                cast.second().subList(4, 6),
                Habit.working(Map.of("caster", "frameWrongWay")),
                DemoStates.lorry(0.9, 0.35),
                DemoStates.lorry(0.05, 0.06));
        UUID ends = set(cast, DemoTasks.bothEnds(), ranger, cast.classTwo());
        runBoth(
                cast.instructor(),
                ends,
                ranger,
                RANGER_BAY,
                cast.second().subList(4, 6),
                Habit.working(Map.of("caster", "camberSignsLost")),
                DemoStates.ranger(0.31),
                DemoStates.ranger(0.08));
    }

    /** A bay with its survey, deg: the far end higher along, the left side higher across. */
    private void bay(UUID centre, UUID surveyor, int number, String name, double along, double across) {
        bays.add(centre, number, name);
        bays.survey(
                centre,
                surveyor,
                new NewSurvey(number, along, across, SURVEYED, Facing.FAR_END, LocalDate.of(2026, 9, 7)));
    }

    private UUID vehicle(UUID centre, WrittenSheet.ParsedSheet written) {
        return library.addVehicle(centre, written, null).orElseThrow();
    }

    /** The pick-up's sheet as the maker prints it, written over the first one that the workshop measured itself. */
    private UUID nextIssue(UUID centre, UUID first, UUID writer) {
        return library.addVersion(
                        centre,
                        library.sheet(centre, first),
                        DemoVehicles.rangerAsPrinted().sheet(),
                        writer,
                        "The maker’s sheet came: figures as printed, wider rear wheels, torques")
                .orElseThrow();
    }

    private List<UUID> apprentices(UUID centre, String... names) {
        return add(centre, Role.APPRENTICE, List.of(names));
    }

    private List<UUID> add(UUID centre, Role role, List<String> names) {
        return people.addAll(centre, role, DemoPeople.signingIn(names), DemoPeople.PASSWORD);
    }

    /** One careful sitting and one with a slip, both marked by the instructor's readings. */
    private void runBoth(
            SignedIn instructor,
            UUID task,
            UUID sheet,
            int bay,
            List<UUID> people,
            Habit slip,
            Truth found,
            Truth left) {
        tasks.preset(instructor.centreId(), instructor.personId(), task, bay, sheet, null);
        tasks.open(instructor.centreId(), instructor.personId(), task);
        reference(instructor, task, bay, found);
        for (int i = 0; i < 2; i++) {
            Sitting sitting = begin(instructor, task, people.get(i), bay);
            apprentice(instructor, people.get(i), sitting, 600 + i).doAll(i == 0 ? Habit.CAREFUL : slip, found, left);
            asLeftReference(instructor, sitting, left, 700 + i);
            moves.putAllBack(instructor, sitting.sheet().vehicleId());
        }
    }

    /** One sitting of each kind an instructor meets: flawless, and with a slip that the marker knows by name. */
    private void runStrings(SignedIn instructor, UUID task, UUID van, List<UUID> class1) {
        tasks.preset(instructor.centreId(), instructor.personId(), task, VAN_BAY, van, null);
        Truth found = DemoStates.front(0, 0, 0.27, 0.09);
        Truth left = DemoStates.front(0, 0, -0.05, -0.03);
        tasks.open(instructor.centreId(), instructor.personId(), task);
        reference(instructor, task, VAN_BAY, found);
        Habit[] habits = {
            Habit.CAREFUL,
            Habit.working(Map.of("toe", "methodSign")),
            Habit.working(Map.of("toe", "oneWheelForTotal")),
            Habit.working(Map.of("toe", "mmForDegrees")),
            Habit.working(Map.of("toe", "leftRightSwapped"))
        };
        for (int i = 0; i < habits.length; i++) {
            Sitting sitting = begin(instructor, task, class1.get(i), VAN_BAY);
            apprentice(instructor, class1.get(i), sitting, 100 + i).doAll(habits[i], found, left);
            asLeftReference(instructor, sitting, left, 200 + i);
            moves.putAllBack(instructor, sitting.sheet().vehicleId());
        }
        tasks.close(instructor.centreId(), task);
    }

    private void runHalfway(SignedIn instructor, UUID task, UUID person) {
        tasks.open(instructor.centreId(), instructor.personId(), task);
        Truth found = DemoStates.front(0, 0, 0.02, 0.07);
        reference(instructor, task, OTHER_VAN_BAY, found);
        Sitting sitting = begin(instructor, task, person, OTHER_VAN_BAY);
        apprentice(instructor, person, sitting, 300).readHalf(found);
    }

    /** Caster, camber and toe on a van whose caster can't be adjusted and is out on neither side; two have handed in. */
    private void runFull(SignedIn instructor, UUID task, UUID van, UUID bus, List<UUID> people) {
        UUID centre = instructor.centreId();
        Truth found = DemoStates.front(2.4, 0.45, 0.21, 0.05);
        Truth left = DemoStates.front(2.4, -0.35, -0.05, -0.03);
        tasks.preset(centre, instructor.personId(), task, VAN_BAY, van, "Top mounts pushed out, rods two turns long");
        tasks.use(centre, instructor.personId(), task, bus);
        tasks.open(centre, instructor.personId(), task);
        reference(instructor, task, VAN_BAY, found);
        reference(instructor, task, BUS_BAY, BUS_AS_SET);
        for (int i = 1; i <= 2; i++) {
            Sitting sitting = begin(instructor, task, people.get(i), VAN_BAY);
            apprentice(instructor, people.get(i), sitting, 400 + i)
                    .doAll(i == 1 ? Habit.CAREFUL : Habit.working(Map.of("toe", "methodSign")), found, left);
            asLeftReference(instructor, sitting, left, 500 + i);
            moves.putAllBack(instructor, sitting.sheet().vehicleId());
        }
    }

    private DemoApprentice apprentice(SignedIn instructor, UUID person, Sitting sitting, long seed) {
        return new DemoApprentice(entries, sittingMarks, people.session(instructor.centreId(), person), sitting, seed);
    }

    private Sitting begin(SignedIn instructor, UUID task, UUID person, int bay) {
        var opening = tasks.current(instructor.centreId(), task).orElseThrow();
        return sittings.sitting(instructor, sittings.begin(opening, person, bay));
    }

    private void reference(SignedIn me, UUID taskId, int bay, Truth truth) {
        Sitting reference = sittings.sitting(me, vehicles.referenceAsFound(me, tasks.task(me.centreId(), taskId), bay));
        readAll(new DemoApprentice(entries, sittingMarks, me, reference, 7), reference, 0, truth);
    }

    private void asLeftReference(SignedIn me, Sitting sitting, Truth truth, long seed) {
        Sitting reference = sittings.sitting(me, vehicles.referenceAsLeft(me, sitting));
        readAll(new DemoApprentice(entries, sittingMarks, me, reference, seed), reference, 1, truth);
        var log = sittings.log(me.centreId(), sitting.id());
        boolean inDoubt =
                sittingMarks
                        .markSheet(
                                sitting,
                                log,
                                sittingMarks.references(sitting, log).references())
                        .lines()
                        .stream()
                        .anyMatch(MarkLine::asksForAnotherReading);
        if (inDoubt) {
            Sitting again = sittings.sitting(me, vehicles.referenceAsLeftAgain(me, sitting));
            readAll(new DemoApprentice(entries, sittingMarks, me, again, seed + 1000), again, 1, truth);
        }
    }

    private static void readAll(DemoApprentice who, Sitting reference, int round, Truth truth) {
        reference.task().practical().measures(round).forEach(m -> who.read(m, round, truth, m.repeats()));
    }
}
