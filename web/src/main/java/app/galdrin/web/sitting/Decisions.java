package app.galdrin.web.sitting;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Line;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.layout.WholeNumber;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.task.TaskBay;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.Words;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Decisions of instructors and verifiers about a sitting: each is an entry with its reason. Marks, signatures and
 * releases are the business of {@link MarkSheets}.
 */
@Service
public class Decisions {

    private static final int MOST_EXTRA_MINUTES = 600;
    private static final int LONGEST_REASON = 400;

    private final SittingMapper mapper;
    private final Entries entries;
    private final Tasks tasks;

    Decisions(SittingMapper mapper, Entries entries, Tasks tasks) {
        this.mapper = mapper;
        this.entries = entries;
        this.tasks = tasks;
    }

    /** Gives a sheet back that was handed in or stopped, so that its apprentice can go on; the reason stays on the log. */
    @Transactional
    public Entries.Outcome giveBack(SignedIn me, Sitting sitting, String reason, String key) {
        Sittings.instructorOnly(me, sitting);
        if (reason.isBlank() || reason.length() > LONGEST_REASON) {
            return new Entries.Outcome.Refusal(Sentence.of("sitting.reason", LONGEST_REASON));
        }
        mapper.lock(me.centreId(), sitting.id());
        LineKey handIn = SittingSheet.of(sitting).handIn();
        List<LineKey> ended = Stream.of(StaffLine.STOPPED, handIn)
                .filter(line -> !entries.standing(sitting, line).isEmpty())
                .toList();
        if (ended.size() > 1) {
            struck(me, sitting, ended.get(0), reason, second(key));
        }
        return struck(me, sitting, ended.isEmpty() ? handIn : ended.get(ended.size() - 1), reason, key);
    }

    /** A key for the other of two entries that come of one press: as long as any, whatever the key of the press. */
    private static String second(String key) {
        return UUID.nameUUIDFromBytes(("second of " + key).getBytes(StandardCharsets.UTF_8))
                .toString();
    }

    private Entries.Outcome struck(SignedIn me, Sitting sitting, LineKey line, String reason, String key) {
        var entry = NewEntry.now(line, reason, entries.standingKeys(sitting, line), key, "desk");
        return entries.strike(me, sitting, entry.asStrike(), reason);
    }

    /** Stops a sitting at once, for safety: its apprentice can write nothing more, and is not competent by it. */
    @Transactional
    public Entries.Outcome stop(SignedIn me, Sitting sitting, String reason, String key) {
        return staff(me, sitting, StaffLine.STOPPED, reason, null, key);
    }

    /** Lets entries count that came after the hand-in though they were written before it. */
    @Transactional
    public Entries.Outcome admitLate(SignedIn me, Sitting sitting, String reason, String key) {
        return staff(me, sitting, StaffLine.ADMIT, reason, null, key);
    }

    /** Gives minutes beyond the limit of time; {@code typed} is a whole number from 1 to {@value #MOST_EXTRA_MINUTES}. */
    @Transactional
    public Entries.Outcome giveTime(SignedIn me, Sitting sitting, String typed, String reason, String key) {
        OptionalInt minutes = WholeNumber.read(typed, 1, MOST_EXTRA_MINUTES);
        return minutes.isEmpty()
                ? new Entries.Outcome.Refusal(Sentence.of("sitting.minutes", Words.quote(typed), MOST_EXTRA_MINUTES))
                : staff(me, sitting, StaffLine.EXTRA_TIME, reason, BigDecimal.valueOf(minutes.getAsInt()), key);
    }

    /**
     * Moves the sitting to another bay of its task: from now on it is of the vehicle there, its sheet, its state and the reference of that,
     * and worked with that bay's floor. What it has so far goes along: its bay was noted wrong, or its vehicle was moved.
     */
    @Transactional
    public Entries.Outcome moveTo(SignedIn me, Sitting sitting, String bay, String key) {
        return moveTo(me, sitting, bay, key, false);
    }

    /** The same for one that goes on at another vehicle: what it has so far was read on the one it was at and counts there, and it is read anew. */
    @Transactional
    public Entries.Outcome goOnAt(SignedIn me, Sitting sitting, String bay, String key) {
        return moveTo(me, sitting, bay, key, true);
    }

    private Entries.Outcome moveTo(SignedIn me, Sitting sitting, String bay, String key, boolean anew) {
        Sittings.instructorOnly(me, sitting);
        Optional<TaskBay> place = tasks.bays(me.centreId(), sitting.task().id()).stream()
                .filter(b -> b.number().map(String::valueOf).equals(Optional.of(bay.strip())))
                .findFirst();
        if (place.isEmpty()) {
            return new Entries.Outcome.Refusal(Sentence.of("sitting.noSuchBay", Words.quote(bay)));
        }
        SittingState state = mapper.lock(me.centreId(), sitting.id());
        if (anew && state.handedIn()) {
            return new Entries.Outcome.Refusal(Sentence.of("sitting.goOnOver"));
        }
        TaskBay there = place.get();
        boolean isOther = !there.sheet().vehicleId().equals(sitting.sheet().vehicleId());
        if (mapper.leftBy(me.centreId(), sitting.id()).isPresent()
                && !there.stateId().equals(sitting.stateId())) {
            return new Entries.Outcome.Refusal(Sentence.of("sitting.adjustedAlready"));
        }
        Entries.Outcome outcome = staff(me, sitting, StaffLine.BAY, bay.strip(), BigDecimal.valueOf(there.bay()), key);
        if (outcome instanceof Entries.Outcome.Stands) {
            if (anew && isOther && state.lastSeq() > 0) {
                mapper.insertEarlier(me.centreId(), sitting.id(), state.lastSeq(), state.bay(), state.baySince());
                String from = sitting.bay().map(String::valueOf).orElse("-");
                staff(me, sitting, StaffLine.ANEW, from, null, second(key));
            }
            mapper.moveTo(me.centreId(), sitting.id(), there);
            if (isOther) {
                mapper.markOn(me.centreId(), sitting.id(), there.sheet().id());
            }
        }
        return outcome;
    }

    /** Writes on a sheet that it belongs to somebody else, for {@link Names}. */
    Entries.Outcome belongs(SignedIn me, Sitting sitting, String text, String key) {
        return staff(me, sitting, StaffLine.BELONGS, text, null, key);
    }

    /** Says of a reference that it stands although many sittings lie off it the same way. */
    @Transactional
    public Entries.Outcome referenceStands(SignedIn me, Sitting reference, String reason, String key) {
        return staff(me, reference, StaffLine.STANDS, reason, null, key);
    }

    /** Records that the instructor witnessed an item. */
    @Transactional
    public Entries.Outcome witness(SignedIn me, Sitting sitting, String step, String item, String key) {
        boolean asked = SittingSheet.of(sitting)
                .line(LineKey.of(step, item))
                .filter(Line::witnessed)
                .isPresent();
        if (!asked) {
            throw new NotThere("item to witness", item, me);
        }
        return staff(me, sitting, StaffLine.witness(step, item), "seen", null, key);
    }

    /** A verifier gives the marks back, released or not: they have to be signed and released again. */
    @Transactional
    public Entries.Outcome returnMarks(SignedIn me, Sitting sitting, String reason) {
        if (!me.is(Role.VERIFIER) || sitting.isReference()) {
            throw new NotThere("sitting to return", sitting.id(), me);
        }
        SittingState state = mapper.lock(me.centreId(), sitting.id());
        var entry = NewEntry.now(
                StaffLine.RETURNED,
                reason,
                entries.standingKeys(sitting, StaffLine.RETURNED),
                Ids.next().toString(),
                "desk");
        return entries.append(me, sitting, state, entry, reason);
    }

    private Entries.Outcome staff(
            SignedIn me, Sitting sitting, LineKey line, String text, @Nullable BigDecimal value, String key) {
        Sittings.instructorOnly(me, sitting);
        if (text.isBlank() || text.length() > LONGEST_REASON) {
            return new Entries.Outcome.Refusal(Sentence.of("sitting.reason", LONGEST_REASON));
        }
        return entries.appendMark(
                me, sitting, NewEntry.now(line, text, entries.standingKeys(sitting, line), key, "desk"), value);
    }
}
