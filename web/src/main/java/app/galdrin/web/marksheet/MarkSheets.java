package app.galdrin.web.marksheet;

import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.WorkingSteps;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Criterion;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.NewEntry;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingState;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.StaffLine;
import app.galdrin.web.words.Sentence;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Mark sheets as they are signed and released: a signature stores the sheet, a release publishes the one that was signed, and what was
 * released is shown as it is stored. Each of these holds the sitting's lock while it looks and while it writes.
 */
@Service
public class MarkSheets {

    private static final String DESK = "desk";
    private static final int MOST_STORED = 50;

    private final Sittings sittings;
    private final Entries entries;
    private final SittingMarks sittingMarks;
    private final MarkSheetMapper mapper;
    private final EvidenceJson json;

    MarkSheets(
            Sittings sittings, Entries entries, SittingMarks sittingMarks, MarkSheetMapper mapper, EvidenceJson json) {
        this.sittings = sittings;
        this.entries = entries;
        this.sittingMarks = sittingMarks;
        this.mapper = mapper;
        this.json = json;
    }

    /** The mark sheet to show, with the steps of its workings: the stored one once it is released, else as it stands. */
    public MarkSheet toShow(Sitting sitting, Log log, SittingMarks.ReferenceReadings references) {
        Optional<MarkSheet> released = sitting.state().released() ? stored(sitting) : Optional.empty();
        return steps(sitting, log)
                .on(released.orElseGet(() -> sittingMarks.markSheet(sitting, log, references.references())));
    }

    private WorkingSteps steps(Sitting sitting, Log log) {
        return new WorkingSteps(sittingMarks.assignment(sitting), log.answers());
    }

    /** The sheet that was stored last. */
    public Optional<MarkSheet> stored(Sitting sitting) {
        return stored(sitting, null);
    }

    /** All that were stored of a sitting, the newest first. */
    public List<StoredSheet> history(Sitting sitting) {
        UUID person = sitting.people().get(0).id();
        return mapper.history(sitting.centreId(), sitting.id(), person, MOST_STORED);
    }

    /**
     * Mark sheet after re-marking, with the one before it.
     *
     * @param now made after the release, with its reason
     */
    public record RemarkChange(StoredSheet before, StoredSheet now) {}

    /** The last time that a sheet was re-marked after its release; empty where it stands as it was released. */
    public Optional<RemarkChange> remarked(Sitting sitting) {
        Instant released = sitting.state().releasedAt();
        List<StoredSheet> stored = history(sitting);
        return released == null
                        || stored.size() < 2
                        || stored.get(0).reason() == null
                        || !stored.get(0).madeAt().isAfter(released)
                ? Optional.empty()
                : Optional.of(new RemarkChange(stored.get(1), stored.get(0)));
    }

    /** Returns a person's own sittings that were re-marked after their release. */
    public Set<UUID> remarkedOf(SignedIn me) {
        return Set.copyOf(mapper.remarkedOf(me.centreId(), me.personId(), MOST_STORED));
    }

    /** One of those that were stored, by its number. */
    public Optional<MarkSheet> stored(Sitting sitting, @Nullable Integer number) {
        UUID person = sitting.people().get(0).id();
        List<MarkSheetRow.LineRow> lines = mapper.lines(sitting.centreId(), sitting.id(), person, number);
        return lines.isEmpty()
                ? Optional.empty()
                : Optional.of(new MarkSheet(lines.stream().map(json::toLine).toList()));
    }

    /** Gives another mark on a line, or strikes that out again with an empty reason and no marks. */
    @Transactional
    public Optional<Sentence> override(
            SignedIn me, Sitting sitting, Criterion.Id criterion, BigDecimal marks, String reason, String key) {
        entries.lock(me.centreId(), sitting.id());
        var line = StaffLine.override(criterion);
        var entry = NewEntry.now(line, reason, entries.standingKeys(sitting, line), key, DESK);
        return why(entries.appendMark(me, sitting, entry, marks));
    }

    /** Gives all marks on the vehicle as left where nothing but a second reading is missing; what is certainly outside is never accepted so. */
    @Transactional
    public Optional<Sentence> acceptInDoubt(
            SignedIn me, Sitting sitting, Criterion.Id criterion, String reason, String key) {
        entries.lock(me.centreId(), sitting.id());
        Log log = sittings.log(me.centreId(), sitting.id());
        MarkSheet now = sittingMarks.markSheet(
                sitting, log, sittingMarks.references(sitting, log).references());
        return now.lines().stream()
                .filter(line -> line.criterion().equals(criterion) && line.inDoubtAlone())
                .findFirst()
                .map(line -> override(me, sitting, criterion, BigDecimal.valueOf(line.available()), reason, key))
                .orElseGet(() -> Optional.of(Sentence.of("desk.notInDoubt")));
    }

    @Transactional
    public Optional<Sentence> strikeOverride(SignedIn me, Sitting sitting, Criterion.Id criterion, String key) {
        entries.lock(me.centreId(), sitting.id());
        var line = StaffLine.override(criterion);
        var entry = NewEntry.now(line, "", entries.standingKeys(sitting, line), key, DESK)
                .asStrike();
        return why(entries.appendMark(me, sitting, entry, null));
    }

    private static Optional<Sentence> why(Entries.Outcome outcome) {
        return outcome instanceof Entries.Outcome.Refusal refused ? Optional.of(refused.why()) : Optional.empty();
    }

    /** Signs the marks as they stand and stores them; sent a second time it stores nothing, whatever was released or read since. */
    @Transactional
    public Optional<Sentence> sign(SignedIn me, Sitting sitting, String key) {
        SittingState state = entries.lock(me.centreId(), sitting.id());
        if (!state.handedIn()) {
            return Optional.of(Sentence.of("marking.notHandedIn"));
        }
        Log log = sittings.log(me.centreId(), sitting.id());
        var references = sittingMarks.references(sitting, log);
        if (state.signed()
                && mapper.isSignedAs(
                        me.centreId(), sitting.id(), log.lastSeq() - 1, Marker.ENGINE, json.seqs(references.seqs()))) {
            return Optional.empty(); // nothing was written since: the same sheet again
        }
        MarkSheet sheet = sittingMarks.markSheet(sitting, log, references.references());
        var line = StaffLine.SIGN;
        var entry = NewEntry.now(line, sheet.total().toPlainString(), entries.standingKeys(sitting, line), key, DESK);
        Entries.Outcome outcome = entries.appendMark(me, sitting, entry, sheet.total());
        if (outcome instanceof Entries.Outcome.Stands stands && stands.entry().seq() > log.lastSeq()) {
            store(me.personId(), sitting, log, references, sheet);
        }
        return why(outcome);
    }

    /** Releases what was signed, if nothing has changed since. */
    @Transactional
    public Optional<Sentence> release(SignedIn me, Sitting sitting, String key) {
        return release(me, sitting, StaffLine.RELEASE, key);
    }

    /** The same with all of its task: to be taken back for {@link SittingState#BEFORE_SHOWN}, and shown then. */
    @Transactional
    public Optional<Sentence> releaseSoon(SignedIn me, Sitting sitting, String key) {
        return release(me, sitting, StaffLine.RELEASE_SOON, key);
    }

    /** Takes back a release that its apprentice has not been shown; it is signed as it was. */
    @Transactional
    public Optional<Sentence> takeBack(SignedIn me, Sitting sitting, String key) {
        SittingState state = entries.lock(me.centreId(), sitting.id());
        if (!state.released()) {
            return Optional.empty();
        }
        var line = StaffLine.RELEASE_SOON;
        var entry = NewEntry.now(line, "", entries.standingKeys(sitting, line), key, DESK)
                .asStrike();
        return why(entries.appendMark(me, sitting, entry, null));
    }

    private Optional<Sentence> release(SignedIn me, Sitting sitting, LineKey line, String key) {
        SittingState state = entries.lock(me.centreId(), sitting.id());
        if (state.released()) {
            return Optional.empty();
        }
        Log log = sittings.log(me.centreId(), sitting.id());
        // what other apprentices have handed in since it was signed is for the next signature
        Map<UUID, Integer> signedBy = mapper.referenceSeqs(me.centreId(), sitting.id())
                .map(json::readSeqs)
                .orElse(Map.of());
        MarkSheet now = sittingMarks.markSheet(
                sitting, log, sittingMarks.references(sitting, log, signedBy).references());
        Optional<MarkSheet> signed = stored(sitting);
        if (!state.signed() || signed.isEmpty() || !sameMarks(signed.get(), now)) {
            return Optional.of(Sentence.of("desk.notSigned"));
        }
        if (now.lines().stream().anyMatch(MarkLine::asksForAnotherReading)) {
            return Optional.of(Sentence.of("desk.waitsForReading"));
        }
        if (!sittingMarks.referenceQuestion(sitting).isEmpty()) {
            return Optional.of(Sentence.of("desk.waitsForReference"));
        }
        var entry = NewEntry.now(line, now.total().toPlainString(), entries.standingKeys(sitting, line), key, DESK);
        return why(entries.appendMark(me, sitting, entry, now.total()));
    }

    private static boolean sameMarks(MarkSheet signed, MarkSheet now) {
        List<BigDecimal> before = signed.lines().stream().map(MarkLine::marks).toList();
        List<BigDecimal> after = now.lines().stream().map(MarkLine::marks).toList();
        if (before.size() != after.size() || signed.complete() != now.complete()) {
            return false;
        }
        for (int i = 0; i < before.size(); i++) {
            if (before.get(i).compareTo(after.get(i)) != 0) {
                return false;
            }
        }
        return true;
    }

    private void store(
            UUID author, Sitting sitting, Log log, SittingMarks.ReferenceReadings references, MarkSheet marked) {
        MarkSheet sheet = steps(sitting, log).on(marked);
        for (Sitting.PersonName person : sitting.people()) {
            int number = mapper.lastNumber(sitting.centreId(), sitting.id(), person.id()) + 1;
            mapper.insert(new MarkSheetRow(
                    sitting.centreId(),
                    sitting.id(),
                    person.id(),
                    number,
                    Marker.ENGINE,
                    log.lastSeq(),
                    json.seqs(references.seqs()),
                    sheet.total(),
                    sheet.available(),
                    sheet.percent(),
                    sheet.competent(),
                    sheet.complete(),
                    author));
            List<MarkSheetRow.LineRow> lines = new ArrayList<>();
            for (MarkLine line : sheet.lines()) {
                lines.add(json.toRow(line, lines.size() + 1));
            }
            if (!lines.isEmpty()) {
                mapper.insertLines(sitting.centreId(), sitting.id(), person.id(), number, lines);
            }
        }
    }

    /** Marks every released sitting that has no stored sheet, as it stood when it was released; tells how many. */
    @Transactional
    public int storeReleased() {
        mapper.lockAll();
        List<MarkSheetMapper.ReleasedSitting> missing = mapper.releasedWithoutSheet();
        for (MarkSheetMapper.ReleasedSitting one : missing) {
            Sitting sitting = sittings.whole(one.centreId(), one.sittingId());
            Log log = sittings.log(one.centreId(), one.sittingId()).until(one.releaseSeq() - 1);
            var references = sittingMarks.referencesUntil(sitting, log, one.releasedAt());
            store(
                    one.releasedBy(),
                    sitting,
                    log,
                    references,
                    sittingMarks.markSheet(sitting, log, references.references().toStand()));
        }
        return missing.size();
    }
}
