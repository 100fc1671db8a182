package app.galdrin.web.sitting;

import app.galdrin.core.sitting.NetMoves;
import app.galdrin.core.sitting.NetMoves.Basis;
import app.galdrin.core.sitting.NetMoves.NetMove;
import app.galdrin.core.spec.Stance;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Bay;
import app.galdrin.web.bay.Bays;
import app.galdrin.web.bay.Facing;
import app.galdrin.web.bay.OpenSitting;
import app.galdrin.web.bay.PartMove;
import app.galdrin.web.bay.StandingCause;
import app.galdrin.web.bay.Standings;
import app.galdrin.web.bay.Survey;
import app.galdrin.web.bay.VehicleStanding;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.layout.WholeNumber;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * An instructor's word on a vehicle, whatever its task: it stands in another bay, was set anew, was put back, or is used as it was left. The apprentice
 * who adjusted it last can put it back too.
 * Open sheets that have read nothing of it follow; those that have read it wait where it is no longer as they read it. Each word names the
 * change that its page showed: where another one came in between, it is refused. Every method returns why it cannot be done; empty where it is.
 */
@Service
public class VehicleMoves {

    /** Key of the sentence that asks the instructor to be sure. */
    public static final String IN_USE = "vehicle.inUse";

    private static final int LONGEST_NOTE = 400;

    private final SittingMapper mapper;
    private final Sittings sittings;
    private final Standings standings;
    private final VehicleUses uses;
    private final Decisions decisions;
    private final Library library;
    private final Bays bays;
    private final Tasks tasks;

    VehicleMoves(
            SittingMapper mapper,
            Sittings sittings,
            Standings standings,
            VehicleUses uses,
            Decisions decisions,
            Library library,
            Bays bays,
            Tasks tasks) {
        this.tasks = tasks;
        this.mapper = mapper;
        this.sittings = sittings;
        this.standings = standings;
        this.uses = uses;
        this.decisions = decisions;
        this.library = library;
        this.bays = bays;
    }

    /**
     * A vehicle as the page showed it on which the word was given.
     *
     * @param seen its newest change there, by number; 0 where nobody had used it yet; null where no page was shown
     */
    public record SeenVehicle(UUID vehicleId, @Nullable Integer seen) {}

    /**
     * Moves a vehicle to a free bay, or out of all of them, with the open sheets that have read nothing of it.
     *
     * @param bay its number; empty to move it out of the bays
     */
    @Transactional
    public Optional<Sentence> place(SignedIn me, SeenVehicle vehicle, OptionalInt bay, Facing facing) {
        UUID centre = me.centreId();
        // an entry holds its sheet before its vehicle: sheets that go along are held in that order too, so that neither
        // waits for the other
        standings.openOn(centre, vehicle.vehicleId()).stream()
                .map(OpenSitting::id)
                .sorted()
                .forEach(sheet -> mapper.lock(centre, sheet));
        Optional<Sentence> refused = changedSince(me, vehicle).or(() -> standsStill(me, vehicle.vehicleId()));
        if (refused.isPresent()) {
            return refused;
        }
        if (bay.isPresent() && !bays.exists(centre, bay.getAsInt())) {
            return Optional.of(Sentence.of("vehicle.noSuchBay", String.valueOf(bay.getAsInt())));
        }
        Optional<UUID> other = standings.place(centre, me.personId(), vehicle.vehicleId(), bay, facing);
        if (other.isPresent()) {
            return Optional.of(Sentence.of("vehicle.bayTaken", bay.orElse(0), name(centre, other.get())));
        }
        if (bay.isPresent()) {
            for (OpenSitting open : standings.openOn(centre, vehicle.vehicleId())) {
                Sitting sitting = sittings.sitting(me, open.id());
                decisions.moveTo(
                        me, sitting, String.valueOf(bay.getAsInt()), Ids.next().toString());
            }
        }
        return Optional.empty();
    }

    /**
     * Uses a vehicle for a task in a bay, as typed there: it is driven in where it does not stand there yet, and set anew where the instructor says so.
     */
    @Transactional
    public Optional<Sentence> useInBay(
            SignedIn me, UUID taskId, SheetVersion sheet, String bay, boolean isSetAnew, String note, boolean isSure) {
        OptionalInt number = WholeNumber.read(bay, 1, Bay.HIGHEST);
        if (number.isEmpty()) {
            return Optional.of(Sentence.of("vehicle.noSuchBay", Words.quote(bay)));
        }
        var vehicle = new SeenVehicle(sheet.vehicleId(), null);
        Optional<VehicleStanding> now = standings.find(me.centreId(), sheet.vehicleId());
        boolean isThere = now.flatMap(VehicleStanding::bayNumber)
                .filter(b -> b == number.getAsInt())
                .isPresent();
        // what can refuse the setting is asked before the vehicle is moved: both are done, or neither
        Optional<Sentence> refused = longNote(note)
                .or(() -> isThere
                        ? Optional.empty()
                        : place(me, vehicle, number, facingIn(me.centreId(), number.getAsInt())));
        if (refused.isEmpty() && isSetAnew) {
            refused = set(me, vehicle, StandingCause.PRESET, note, isSure);
        }
        if (refused.isEmpty()) {
            tasks.use(me.centreId(), me.personId(), taskId, sheet.id());
        }
        return refused;
    }

    private static Optional<Sentence> longNote(String note) {
        return note.length() > LONGEST_NOTE ? Optional.of(Sentence.of("vehicle.note", LONGEST_NOTE)) : Optional.empty();
    }

    /** Returns which way vehicles stood when the bay was surveyed last; driven in where nobody has surveyed it. */
    private Facing facingIn(UUID centreId, int bay) {
        return bays.all(centreId).stream()
                .filter(b -> b.number() == bay)
                .flatMap(b -> b.survey().stream())
                .map(Survey::faces)
                .findFirst()
                .orElse(Facing.FAR_END);
    }

    /** Returns that the vehicle cannot be driven away: somebody has read it where it stands and has not handed in. */
    private Optional<Sentence> standsStill(SignedIn me, UUID vehicleId) {
        return readers(me.centreId(), vehicleId).map(names -> Sentence.of("vehicle.isRead", names));
    }

    private Optional<String> readers(UUID centreId, UUID vehicleId) {
        String names = standings.openOn(centreId, vehicleId).stream()
                .filter(OpenSitting::hasRead)
                .map(OpenSitting::names)
                .collect(Collectors.joining(", "));
        return Optional.of(names).filter(n -> !n.isEmpty());
    }

    /**
     * Gives a vehicle a new setting: a fault that was set, or something that was changed without a sheet. Nothing that was read of it before counts.
     *
     * @param isSure whether the instructor says it although a sheet is open that has read the vehicle
     */
    @Transactional
    public Optional<Sentence> set(SignedIn me, SeenVehicle vehicle, StandingCause cause, String note, boolean isSure) {
        return set(me, vehicle, cause, note, List.of(), Stance.ANY, isSure);
    }

    /** The same, how the vehicle stands on its springs now. */
    @Transactional
    public Optional<Sentence> set(
            SignedIn me, SeenVehicle vehicle, StandingCause cause, String note, Stance stance, boolean isSure) {
        return set(me, vehicle, cause, note, List.of(), stance, isSure);
    }

    /** The same by moves that are known: a fault that was planned. It leaves the height and the load as they are. */
    @Transactional
    public Optional<Sentence> set(
            SignedIn me, SeenVehicle vehicle, StandingCause cause, String note, List<PartMove> moves, boolean isSure) {
        Stance stands = standings
                .find(me.centreId(), vehicle.vehicleId())
                .map(VehicleStanding::stance)
                .orElse(Stance.ANY);
        return set(me, vehicle, cause, note, moves, stands, isSure);
    }

    private Optional<Sentence> set(
            SignedIn me,
            SeenVehicle vehicle,
            StandingCause cause,
            String note,
            List<PartMove> moves,
            Stance stance,
            boolean isSure) {
        Optional<Sentence> refused = changedSince(me, vehicle)
                .or(() -> longNote(note))
                .or(() -> isSure
                        ? Optional.empty()
                        : readers(me.centreId(), vehicle.vehicleId()).map(names -> Sentence.of(IN_USE, names)));
        if (refused.isEmpty()) {
            String kept = note.isBlank() ? null : note.strip();
            goOn(me, standings.set(me.centreId(), me.personId(), vehicle.vehicleId(), cause, kept, moves, stance));
        }
        return refused;
    }

    /**
     * Puts a vehicle back to the setting it had before it was adjusted.
     *
     * @param ticked ids of the parts that were turned back: all that the sheets say were moved
     */
    @Transactional
    public Optional<Sentence> putBack(SignedIn me, SeenVehicle vehicle, Set<String> ticked) {
        return changedSince(me, vehicle).or(() -> notAdjusted(me, vehicle)).or(() -> turnBack(me, vehicle, ticked));
    }

    /** Returns whether a person left the vehicle as it is with a sheet that was handed in, so that putting it back is theirs to do. */
    public boolean isLeftBy(SignedIn me, Sitting sitting) {
        return me.is(Role.APPRENTICE)
                && sitting.isOf(me.personId())
                && sitting.state().handedIn()
                && standings
                        .find(me.centreId(), sitting.sheet().vehicleId())
                        .filter(now -> now.isAdjusted() && sitting.id().equals(now.sittingId()))
                        .isPresent();
    }

    /**
     * The same by the apprentice who adjusted it last, unless somebody else has read it meanwhile.
     *
     * @param seen its newest change on the page, by number
     */
    @Transactional
    public Optional<Sentence> putBack(SignedIn me, Sitting sitting, int seen, Set<String> ticked) {
        if (!me.is(Role.APPRENTICE) || !sitting.isOf(me.personId())) {
            throw new NotThere("sitting", sitting.id(), me);
        }
        var vehicle = new SeenVehicle(sitting.sheet().vehicleId(), seen);
        return held(me, vehicle)
                .or(() -> isLeftBy(me, sitting) ? Optional.empty() : Optional.of(Sentence.of("vehicle.notYours")))
                .or(() -> readers(me.centreId(), vehicle.vehicleId())
                        .map(names -> Sentence.of("vehicle.readSince", names)))
                .or(() -> turnBack(me, vehicle, ticked));
    }

    private Optional<Sentence> turnBack(SignedIn me, SeenVehicle vehicle, Set<String> ticked) {
        List<NetMove> moved = uses.movesSinceSet(me, vehicle.vehicleId()).moved();
        Set<String> parts = moved.stream().map(move -> move.part().id()).collect(Collectors.toSet());
        Optional<String> nobodyMoved =
                ticked.stream().filter(part -> !parts.contains(part)).findFirst();
        if (nobodyMoved.isPresent()) {
            return Optional.of(Sentence.of("vehicle.notMoved", Words.quote(nobodyMoved.get())));
        }
        if (ticked.size() < parts.size()) {
            return Optional.of(Sentence.of("vehicle.notTicked", ticked.size(), parts.size()));
        }
        List<PartMove> back = moved.stream()
                .map(move -> new PartMove(
                        move.part().id(),
                        move.basis().compareTo(Basis.PLANNED) <= 0 ? Double.valueOf(-move.amount()) : null))
                .toList();
        goOn(me, standings.putBack(me.centreId(), me.personId(), vehicle.vehicleId(), back));
        return Optional.empty();
    }

    /** The same, everything that was moved turned back. */
    @Transactional
    public Optional<Sentence> putAllBack(SignedIn me, UUID vehicleId) {
        NetMoves moves = uses.movesSinceSet(me, vehicleId);
        return putBack(
                me,
                new SeenVehicle(vehicleId, null),
                moves.moved().stream().map(move -> move.part().id()).collect(Collectors.toSet()));
    }

    /** Gives a vehicle to the next sheet as it was left. */
    @Transactional
    public Optional<Sentence> lend(SignedIn me, SeenVehicle vehicle) {
        Optional<Sentence> refused = changedSince(me, vehicle).or(() -> notAdjusted(me, vehicle));
        if (refused.isEmpty()) {
            goOn(me, standings.lend(me.centreId(), me.personId(), vehicle.vehicleId()));
        }
        return refused;
    }

    private Optional<Sentence> notAdjusted(SignedIn me, SeenVehicle vehicle) {
        boolean isAdjusted = standings
                .find(me.centreId(), vehicle.vehicleId())
                .filter(VehicleStanding::isAdjusted)
                .isPresent();
        return isAdjusted ? Optional.empty() : Optional.of(Sentence.of("vehicle.notAdjusted"));
    }

    /** Holds the vehicle, and returns that it was changed after the page was shown. */
    private Optional<Sentence> changedSince(SignedIn me, SeenVehicle vehicle) {
        UUID centre = me.centreId();
        if (!me.is(Role.INSTRUCTOR)
                || library.versions(centre, vehicle.vehicleId()).isEmpty()) {
            throw new NotThere("vehicle", vehicle.vehicleId(), me);
        }
        return held(me, vehicle);
    }

    private Optional<Sentence> held(SignedIn me, SeenVehicle vehicle) {
        UUID centre = me.centreId();
        standings.hold(centre, vehicle.vehicleId());
        Optional<VehicleStanding> now = standings.find(centre, vehicle.vehicleId());
        int newest = now.map(VehicleStanding::seq).orElse(0);
        boolean isSeen = vehicle.seen() == null || vehicle.seen() == newest;
        return isSeen
                ? Optional.empty()
                : now.map(s -> Sentence.of("vehicle.changed." + s.cause().key(), s.names()));
    }

    /** Open sheets that have read nothing of the vehicle begin on its new state. */
    private void goOn(SignedIn me, VehicleStanding now) {
        standings.openOn(me.centreId(), now.vehicleId()).stream()
                .filter(open -> !open.hasRead())
                .forEach(open -> mapper.goOnWith(me.centreId(), open.id(), now.stateId()));
    }

    private String name(UUID centreId, UUID vehicleId) {
        return library.versions(centreId, vehicleId).get(0).vehicleName();
    }
}
