package app.galdrin.web.task.internal;

import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps tasks while they are composed: one press after another, each of which can be undone, over a restart too. */
@Service
class Drafts {

    private static final int MOST_OPEN = 12;
    private static final int KEPT_DAYS = 60;

    /** Greatest number of presses that can be undone. */
    private static final int MOST_STATES = 200;

    private final DraftMapper mapper;

    Drafts(DraftMapper mapper) {
        this.mapper = mapper;
    }

    /** Begins a draft. */
    @Transactional
    public UUID begin(SignedIn me, Optional<UUID> before, DraftContent content) {
        UUID id = Ids.next();
        mapper.insert(me.centreId(), id, me.personId(), before.orElse(null));
        insert(me, id, 1, Ids.next(), content, null, null);
        mapper.dropOld(me.centreId(), me.personId(), MOST_OPEN, KEPT_DAYS);
        return id;
    }

    private void insert(
            SignedIn me,
            UUID id,
            int number,
            UUID press,
            DraftContent content,
            @Nullable Integer undo,
            @Nullable Integer redo) {
        mapper.insertState(
                me.centreId(),
                id,
                number,
                press,
                content.sheetId(),
                content.classId(),
                DraftText.of(content.task()),
                undo,
                redo);
    }

    /** Returns the newest state of a draft of this person. */
    public DraftRow draft(SignedIn me, UUID id) {
        return mapper.newest(me.centreId(), id, me.personId()).orElseThrow(() -> new NotThere("draft", id, me));
    }

    /** Returns the draft of a task's next version that this person has begun. */
    public Optional<UUID> ofNextVersion(SignedIn me, UUID before) {
        return mapper.ofNextVersion(me.centreId(), me.personId(), before);
    }

    /**
     * Changes a draft. A press that was taken already changes nothing, however often it arrives.
     *
     * @param press names the press
     */
    @Transactional
    public DraftRow change(SignedIn me, UUID id, UUID press, UnaryOperator<DraftContent> edit) {
        DraftRow now = locked(me, id);
        if (mapper.pressed(me.centreId(), id, press)) {
            return now;
        }
        DraftContent content = now.content();
        DraftContent changed = edit.apply(content);
        if (changed.equals(content)) {
            return now;
        }
        return added(me, now, press, changed, now.number(), null);
    }

    /** Undoes the last change of a draft, where there is one. */
    @Transactional
    public DraftRow undo(SignedIn me, UUID id, UUID press) {
        DraftRow now = locked(me, id);
        Optional<DraftRow> before = stateOf(me, id, now.undo());
        if (before.isEmpty() || mapper.pressed(me.centreId(), id, press)) {
            return now;
        }
        return added(me, now, press, before.get().content(), before.get().undo(), now.number());
    }

    /** Takes the last undoing back, where nothing was changed since. */
    @Transactional
    public DraftRow redo(SignedIn me, UUID id, UUID press) {
        DraftRow now = locked(me, id);
        Optional<DraftRow> undone = stateOf(me, id, now.redo());
        if (undone.isEmpty() || mapper.pressed(me.centreId(), id, press)) {
            return now;
        }
        return added(
                me,
                now,
                press,
                undone.get().content(),
                now.number(),
                undone.get().redo());
    }

    private Optional<DraftRow> stateOf(SignedIn me, UUID id, @Nullable Integer number) {
        return number == null ? Optional.empty() : mapper.state(me.centreId(), id, number);
    }

    private DraftRow locked(SignedIn me, UUID id) {
        if (mapper.lock(me.centreId(), id, me.personId()).isEmpty()) {
            throw new NotThere("draft", id, me);
        }
        return draft(me, id);
    }

    private DraftRow added(
            SignedIn me,
            DraftRow now,
            UUID press,
            DraftContent content,
            @Nullable Integer undo,
            @Nullable Integer redo) {
        int number = now.number() + 1;
        insert(me, now.id(), number, press, content, undo, redo);
        mapper.touch(me.centreId(), now.id());
        mapper.dropBefore(me.centreId(), now.id(), number - MOST_STATES);
        return draft(me, now.id());
    }

    /** Ends a draft: it was set, or is discarded. */
    @Transactional
    public void end(SignedIn me, UUID id) {
        mapper.drop(me.centreId(), id, me.personId());
    }

    /** Returns what this person can go on with. */
    public List<OpenDraft> open(SignedIn me) {
        return mapper.open(me.centreId(), me.personId(), MOST_OPEN).stream()
                .map(row -> new OpenDraft(
                        row.id(),
                        DraftText.draft(row.document()).practical().title(),
                        row.nextVersion(),
                        row.changedAt()))
                .toList();
    }
}
