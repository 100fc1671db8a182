package app.galdrin.web.sitting;

import app.galdrin.core.answer.LineText;
import app.galdrin.core.quantity.Calculation;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Work;
import app.galdrin.web.account.Access;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Standings;
import app.galdrin.web.bay.VehicleStanding;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.words.LineTextWords;
import app.galdrin.web.words.Sentence;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writes the entries of sittings: what is read, worked and decided at the bay, what was calculated on the way, and what calls the instructor.
 * The state of a sitting is locked before anything about it is checked.
 */
@Service
public class Entries {

    /** More calls for the instructor than any honest sitting has. */
    private static final int MOST_FLAGS = 100;

    private static final int MOST_ON_A_LINE = 500;

    /** Two people who adjust one vehicle closer together than this do so at one instant, whatever their clocks say: one of them is told. */
    private static final Duration AT_ONE_INSTANT = Duration.ofMinutes(1);

    private final SittingMapper mapper;
    private final Sittings sittings;
    private final Standings standings;
    private final VehicleUses uses;

    Entries(SittingMapper mapper, Sittings sittings, Standings standings, VehicleUses uses) {
        this.standings = standings;
        this.uses = uses;
        this.mapper = mapper;
        this.sittings = sittings;
    }

    /** Outcome of an attempt to write. */
    public sealed interface Outcome {
        /**
         * Entry that is on the log; the same key sent again changes nothing.
         *
         * @param disputed whether something else stands on the line as well
         * @param calls whether it has called the instructor
         */
        record Stands(Entry entry, boolean disputed, boolean calls) implements Outcome {
            Stands(Entry entry, boolean disputed) {
                this(entry, disputed, false);
            }
        }

        /** Refusal to write, with the reason. */
        record Refusal(Sentence why) implements Outcome {}
    }

    /** Writes what an apprentice or, on a reference, an instructor reads, works or decides; and what calls the instructor. */
    @Transactional
    public Outcome write(SignedIn me, Sitting sitting, NewEntry entry) {
        if (entry.line().equals(StaffLine.FLAG)) {
            return flag(me, sitting, entry);
        }
        if (Tape.isTape(entry.line())) {
            return calculated(me, sitting, entry);
        }
        if (me.access() == Access.DELIVERY
                && entry.line().equals(SittingSheet.of(sitting).handIn())) {
            return new Entries.Outcome.Refusal(Sentence.of("sitting.endedBefore"));
        }
        Line line = line(sitting, entry.line());
        if (!mayWrite(me, sitting, entry.line())) {
            throw new NotThere("line", entry.line(), me);
        }
        if (entry.strike()) {
            return append(me, sitting, entry, text(entry.text()));
        }
        LineText read = LineText.read(entry.text(), line.answer());
        if (!(read instanceof LineText.ParsedText understood)) {
            return new Entries.Outcome.Refusal(LineTextWords.why((LineText.Refusal) read));
        }
        Outcome outcome = append(me, sitting, entry, understood);
        return outcome instanceof Outcome.Stands stands && line.calls().contains(understood.written())
                ? calling(me, sitting, entry, stands)
                : outcome;
    }

    /** An answer that calls the instructor has raised the flag as well, where it is not too late for that. */
    private Outcome calling(SignedIn me, Sitting sitting, NewEntry entry, Outcome.Stands stands) {
        boolean raised = !stands.entry().late() && flag(me, sitting, entry.asCall()) instanceof Outcome.Stands;
        return new Outcome.Stands(stands.entry(), stands.disputed(), raised);
    }

    private static LineText.ParsedText text(String text) {
        return new LineText.ParsedText(text, OptionalDouble.empty(), OptionalDouble.empty(), Optional.empty());
    }

    private static Line line(Sitting sitting, LineKey key) {
        return SittingSheet.of(sitting)
                .line(key)
                .orElseThrow(() -> new NotThere("line", key, "sitting " + sitting.id()));
    }

    /** Returns whose sheet it is to write on: the apprentice's own, the instructor's where it is a reference. Others look at it. */
    public static boolean isWriter(SignedIn me, Sitting sitting) {
        return me.is(sitting.isReference() ? Role.INSTRUCTOR : Role.APPRENTICE);
    }

    private static boolean mayWrite(SignedIn me, Sitting sitting, LineKey key) {
        boolean readOfState =
                sitting.task().practical().measure(key.step()).isPresent() && key.round() == sitting.readsRound();
        return isWriter(me, sitting) && (!sitting.isReference() || readOfState);
    }

    private Outcome flag(SignedIn me, Sitting sitting, NewEntry entry) {
        boolean known = entry.text().equals(StaffLine.RAISED) || entry.text().equals(StaffLine.ANSWERED);
        if (!known || entry.strike() || sitting.isReference() || me.is(Role.VERIFIER)) {
            throw new NotThere("flag", entry.text(), me);
        }
        if (mapper.countOf(me.centreId(), sitting.id(), StaffLine.FLAG, me.role()) >= MOST_FLAGS) {
            return new Entries.Outcome.Refusal(Sentence.of("sitting.flags", MOST_FLAGS));
        }
        mapper.lock(me.centreId(), sitting.id());
        // anyone who calls or answers means the flag as it is: nobody disputes over it
        return append(me, sitting, entry.seeing(standingKeys(sitting, StaffLine.FLAG)), text(entry.text()));
    }

    /** A line of the calculator's tape: it stands beside those before it, and nobody disputes over it. */
    private Outcome calculated(SignedIn me, Sitting sitting, NewEntry entry) {
        boolean beside = sitting.task()
                .practical()
                .step(entry.line().line())
                .filter(Work.class::isInstance)
                .isPresent();
        if (!beside || entry.strike() || sitting.isReference() || !isWriter(me, sitting)) {
            throw new NotThere("tape", entry.line(), me);
        }
        if (!(Calculation.work(entry.text()) instanceof Calculation.Result.Value worked)) {
            return new Entries.Outcome.Refusal(Sentence.of("calculator.malformed"));
        }
        SittingState state = mapper.lock(me.centreId(), sitting.id());
        if (state.handedIn()) {
            return new Entries.Outcome.Refusal(Sentence.of("sitting.closed"));
        }
        if (mapper.countOf(me.centreId(), sitting.id(), entry.line(), me.role()) >= Tape.LONGEST) {
            return new Entries.Outcome.Refusal(Sentence.of("calculator.full", Tape.LONGEST));
        }
        var content = new Content(entry.text().strip(), Tape.rounded(worked.value()), null, null);
        Outcome outcome = append(me, sitting, state, entry.seeing(List.of()), content);
        return outcome instanceof Outcome.Stands stands ? new Outcome.Stands(stands.entry(), false) : outcome;
    }

    /** Keys of what stands on a line, for anyone who has just seen it. */
    public List<String> standingKeys(Sitting sitting, LineKey line) {
        return standing(sitting, line).stream().map(Entry::key).toList();
    }

    List<Entry> standing(Sitting sitting, LineKey line) {
        List<Entry> entries = mapper.entriesOf(sitting.centreId(), sitting.id(), line, MOST_ON_A_LINE);
        return new Log(entries).allAt(line);
    }

    private Outcome append(SignedIn me, Sitting sitting, NewEntry entry, LineText.ParsedText read) {
        SittingState state = mapper.lock(me.centreId(), sitting.id());
        return append(
                me,
                sitting,
                state,
                entry,
                new Content(
                        read.written(),
                        decimal(read.value()),
                        decimal(read.step()),
                        read.unit().map(u -> u.key()).orElse(null)));
    }

    /** Appends an instructor's mark, signature, release or decision for the marking desk, which checks the words. */
    public Outcome appendMark(SignedIn me, Sitting sitting, NewEntry entry, @Nullable BigDecimal value) {
        Sittings.instructorOnly(me, sitting);
        SittingState state = mapper.lock(me.centreId(), sitting.id());
        return append(me, sitting, state, entry, new Content(entry.text(), value, null, null));
    }

    /** Strikes what an entry names, with a reason. */
    Outcome strike(SignedIn me, Sitting sitting, NewEntry entry, String reason) {
        return append(me, sitting, entry, text(reason));
    }

    /** Appends words to a sitting whose state the caller has locked. */
    Outcome append(SignedIn me, Sitting sitting, SittingState state, NewEntry entry, String words) {
        return append(me, sitting, state, entry, new Content(words, null, null, null));
    }

    /** Content of an entry that was read from its text. */
    private record Content(
            String written,
            @Nullable BigDecimal value,
            @Nullable BigDecimal resolution,
            @Nullable String unit) {}

    private static @Nullable BigDecimal decimal(OptionalDouble value) {
        return value.isPresent() ? new BigDecimal(Double.toString(value.getAsDouble())) : null;
    }

    /** The sitting is locked; what the lock guards is asked from here on. */
    private Outcome append(SignedIn me, Sitting sitting, SittingState state, NewEntry entry, Content content) {
        UUID centre = me.centreId();
        List<Entry> beside = mapper.beside(centre, sitting.id(), entry.line(), entry.key(), MOST_ON_A_LINE);
        Optional<Entry> sentBefore =
                beside.stream().filter(e -> e.key().equals(entry.key())).findFirst();
        if (sentBefore.isPresent()) {
            return sameAgain(me, sentBefore.get(), entry, content);
        }
        List<Entry> standing = new Log(beside).allAt(entry.line());
        boolean late = isLate(me, state, entry);
        if (me.endedAt() != null && beside.stream().anyMatch(e -> isStruckAfter(me.endedAt(), e, entry))) {
            return new Entries.Outcome.Refusal(Sentence.of("sitting.endedBefore"));
        }
        boolean known =
                beside.stream().map(Entry::key).collect(Collectors.toSet()).containsAll(entry.saw());
        Optional<Sentence> refused = known
                ? refused(me, sitting, state, entry, standing, late)
                : Optional.of(Sentence.of("sitting.otherSheet"));
        if (refused.isPresent()) {
            return new Entries.Outcome.Refusal(refused.get());
        }
        Entry written = insert(me, sitting, state, entry, content, late);
        boolean disputed = !late && standing.stream().anyMatch(e -> !entry.saw().contains(e.key()));
        return new Outcome.Stands(written, disputed && !entry.strike());
    }

    /** Refuses to strike what was written after the session ended, whatever the device says of its clock. */
    private static boolean isStruckAfter(Instant end, Entry standing, NewEntry entry) {
        return entry.saw().contains(standing.key()) && standing.receivedAt().isAfter(end);
    }

    private static Outcome sameAgain(SignedIn me, Entry before, NewEntry entry, Content content) {
        boolean same = before.line().equals(entry.line())
                && before.isStrike() == entry.strike()
                && before.written().equals(content.written())
                && before.personId().equals(me.personId());
        return same ? new Outcome.Stands(before, false) : new Entries.Outcome.Refusal(Sentence.of("sitting.keyUsed"));
    }

    /** Written before the sheet was handed in, or before its session was ended, and only arrived now. */
    private static boolean isLate(SignedIn me, SittingState state, NewEntry entry) {
        if (me.access() == Access.DELIVERY) {
            return true;
        }
        Instant handedIn = state.handedInAt();
        return handedIn != null
                && me.is(Role.APPRENTICE)
                && !StaffLine.isOutsideTask(entry.line())
                && entry.corrected().isBefore(handedIn);
    }

    private Optional<Sentence> refused(
            SignedIn me, Sitting sitting, SittingState state, NewEntry entry, List<Entry> standing, boolean late) {
        boolean apprentice = me.is(Role.APPRENTICE);
        boolean ofTask = !StaffLine.isOutsideTask(entry.line());
        if ((apprentice ? state.apprenticeEntries() : state.staffEntries()) >= Log.MOST) {
            return Optional.of(Sentence.of("sitting.full"));
        }
        if (state.released()
                && !entry.line().equals(StaffLine.FLAG)
                && !entry.line().equals(StaffLine.RETURNED)
                && !(entry.line().equals(StaffLine.RELEASE_SOON) && entry.strike() && !state.shown())) {
            return Optional.of(Sentence.of(apprentice ? "sitting.closed" : "marking.released"));
        }
        List<Entry> stopped =
                apprentice && ofTask && state.handedIn() && !late ? standing(sitting, StaffLine.STOPPED) : List.of();
        if (!stopped.isEmpty()) {
            return Optional.of(Sentence.of("sitting.stopped", stopped.get(0).written()));
        }
        boolean handsIn = entry.line().equals(SittingSheet.of(sitting).handIn());
        if (apprentice && handsIn && entry.strike()) {
            return isTakenBackInTime(sitting, state)
                    ? Optional.empty()
                    : Optional.of(Sentence.of("sitting.handInStays"));
        }
        if (apprentice && ofTask && state.handedIn() && !late && !handsIn) {
            return Optional.of(Sentence.of("sitting.closed"));
        }
        if (entry.strike() && standing.stream().noneMatch(e -> entry.saw().contains(e.key()))) {
            return Optional.of(Sentence.of("sitting.nothingToStrike"));
        }
        return apprentice && ofTask
                ? waitsForAnswer(sitting, state, entry)
                        .or(() -> movedMeanwhile(sitting, entry))
                        .or(() -> stillReading(sitting, entry))
                : Optional.empty();
    }

    /** Refuses to adjust while an answer of the sheet, such as a worn part, calls the instructor and nobody has answered. */
    private Optional<Sentence> waitsForAnswer(Sitting sitting, SittingState state, NewEntry entry) {
        if (entry.line().round() == 0 || !state.flagged()) {
            return Optional.empty();
        }
        Answers answers = sittings.log(sitting.centreId(), sitting.id()).answers();
        Sheet sheet = SittingSheet.of(sitting);
        return answers.standing().entrySet().stream()
                        .anyMatch(written -> sheet.line(written.getKey())
                                .filter(line ->
                                        line.calls().contains(written.getValue().text()))
                                .isPresent())
                ? Optional.of(Sentence.of("sitting.waitsForAnswer"))
                : Optional.empty();
    }

    private boolean isTakenBackInTime(Sitting sitting, SittingState state) {
        Instant handedIn = state.handedInAt();
        return handedIn != null
                && !state.stopped()
                && Instant.now().isBefore(handedIn.plus(Sittings.TAKE_BACK))
                && !mapper.openedSince(sitting.centreId(), sitting.id(), handedIn);
    }

    /** Takes a hand-in back, within two minutes and before an instructor has opened it. */
    @Transactional
    public Outcome takeBack(SignedIn me, Sitting sitting, String key) {
        if (!isWriter(me, sitting)) {
            throw new NotThere("hand-in", sitting.id(), me);
        }
        mapper.lock(me.centreId(), sitting.id());
        LineKey line = SittingSheet.of(sitting).handIn();
        var entry =
                NewEntry.now(line, "", standingKeys(sitting, line), key, "form").asStrike();
        return append(me, sitting, entry, text(""));
    }

    /**
     * Refuses readings of a vehicle that was changed since: it is not the vehicle that is to be read here. The instructor has to say that it was
     * put back, or that it is read as it stands now. Anyone who adjusted it goes on with what they read of it; a further round has to begin where
     * the last one ended.
     */
    private Optional<Sentence> movedMeanwhile(Sitting sitting, NewEntry entry) {
        int round = entry.line().round();
        if (round == 0
                && sitting.task().practical().measure(entry.line().step()).isEmpty()) {
            return Optional.empty();
        }
        if (round > 0) {
            standings.hold(sitting.centreId(), sitting.sheet().vehicleId());
            if (mapper.stateAfter(sitting.centreId(), sitting.id(), round).isPresent()) {
                return Optional.empty();
            }
        }
        return uses.waitsFor(sitting, round > 0)
                .filter(wait ->
                        entry.corrected().isAfter(round > 0 ? wait.since().minus(AT_ONE_INSTANT) : wait.since()))
                .map(VehicleWait::sentence);
    }

    /** Refuses an adjustment while another open sitting, of whatever task, still reads the vehicle as it stands. */
    private Optional<Sentence> stillReading(Sitting sitting, NewEntry entry) {
        if (entry.line().round() == 0) {
            return Optional.empty();
        }
        UUID centre = sitting.centreId();
        UUID vehicle = sitting.sheet().vehicleId();
        Optional<UUID> setting = standings.find(centre, vehicle).map(VehicleStanding::settingId);
        return standings.openOn(centre, vehicle).stream()
                .filter(open -> open.hasRead() && !open.id().equals(sitting.id()))
                .map(open -> sittings.whole(centre, open.id()))
                .filter(reader -> setting.equals(Optional.of(reader.settingId()))
                        && reader.state().lastRound() == 0
                        && isHalfRead(reader))
                .findFirst()
                .map(reader -> Sentence.of("sitting.stillReading", reader.names()));
    }

    /** Returns whether the first measuring step that is not complete has been begun. */
    private boolean isHalfRead(Sitting reader) {
        Log log = sittings.log(reader);
        Sheet sheet = SittingSheet.of(reader);
        Optional<Measure> open = reader.task().practical().measures(0).stream()
                .filter(m -> !sheet.progress(m, log.answers()).complete())
                .findFirst();
        return open.isPresent()
                && log.entries().stream()
                        .anyMatch(e -> e.line().step().equals(open.get().id()));
    }

    private Entry insert(
            SignedIn me, Sitting sitting, SittingState state, NewEntry entry, Content content, boolean late) {
        UUID centre = me.centreId();
        Instant writtenAt = entry.corrected().isAfter(Instant.now()) ? Instant.now() : entry.corrected();
        Entry written = mapper.insert(
                centre,
                sitting.id(),
                state.lastSeq() + 1,
                me.personId(),
                me.role(),
                entry,
                content.written(),
                content.value(),
                content.resolution(),
                content.unit(),
                late,
                writtenAt);
        LineKey handIn = SittingSheet.of(sitting).handIn();
        mapper.putState(centre, sitting.id(), state.after(written, handIn));
        if (entry.line().round() > 0 && !sitting.isReference()) {
            sittings.roundState(me, sitting, entry.line().round());
        }
        return written;
    }

    /** The state of a sitting, locked until the transaction ends. */
    public SittingState lock(UUID centreId, UUID sittingId) {
        return mapper.lock(centreId, sittingId);
    }
}
