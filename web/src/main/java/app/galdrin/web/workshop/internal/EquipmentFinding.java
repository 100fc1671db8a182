package app.galdrin.web.workshop.internal;

import app.galdrin.core.marking.MarkSheet;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.equipment.Equipment;
import app.galdrin.web.equipment.NewRevision;
import app.galdrin.web.equipment.Piece;
import app.galdrin.web.equipment.PieceRevision;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingEquipment;
import app.galdrin.web.sitting.Sittings;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Finds the sheets that a piece of equipment was used on, and what its true figures would change there. */
@Service
class EquipmentFinding {

    static final int MOST = 100;

    private final Equipment equipment;
    private final SittingEquipment used;
    private final Sittings sittings;
    private final Entries entries;
    private final SittingMarks sittingMarks;
    private final TransactionTemplate transaction;

    EquipmentFinding(
            Equipment equipment,
            SittingEquipment used,
            Sittings sittings,
            Entries entries,
            SittingMarks sittingMarks,
            PlatformTransactionManager transactions) {
        this.equipment = equipment;
        this.used = used;
        this.sittings = sittings;
        this.entries = entries;
        this.sittingMarks = sittingMarks;
        this.transaction = new TransactionTemplate(transactions);
    }

    /**
     * A sheet that was read with a piece.
     *
     * @param before marks as they stand; null where it is not marked yet, or an instructor's readings
     * @param after marks with the true figures; null likewise, and where none were tried
     */
    record FoundSheet(
            Sitting sitting,
            @Nullable BigDecimal before,
            @Nullable BigDecimal after,
            int available) {
        /** Returns whether its marks would be others. */
        public boolean isChanged() {
            return before != null && after != null && before.compareTo(after) != 0;
        }
    }

    /** The sheets that were read with a piece since a day, as they are marked. */
    List<FoundSheet> sheets(SignedIn me, Piece piece, LocalDate since) {
        List<Sitting> found = sittings(me, usedIn(me, piece, since));
        Map<UUID, MarkSheet> marked = marked(found);
        return found.stream()
                .map(sitting -> found(sitting, marked.get(sitting.id()), null))
                .toList();
    }

    /**
     * The same with what the true figures would change: applied, marked, and taken back. No sheet is locked meanwhile, since marking takes seconds and
     * somebody may write on one.
     */
    List<FoundSheet> trial(SignedIn me, Piece piece, NewRevision figures, LocalDate since) {
        List<UUID> ids = usedIn(me, piece, since);
        List<Sitting> found = sittings(me, ids);
        Map<UUID, MarkSheet> before = marked(found);
        Map<UUID, MarkSheet> after = Objects.requireNonNull(transaction.execute(status -> {
            status.setRollbackOnly();
            correct(me, piece, figures, ids);
            return marked(sittings(me, ids));
        }));
        return found.stream()
                .map(sitting -> found(sitting, before.get(sitting.id()), after.get(sitting.id())))
                .toList();
    }

    /** Uses the true figures for the sheets since a day, and from now on. */
    @Transactional
    public void apply(SignedIn me, Piece piece, NewRevision figures, LocalDate since) {
        List<UUID> ids = usedIn(me, piece, since);
        ids.forEach(id -> entries.lock(me.centreId(), id));
        correct(me, piece, figures, ids);
    }

    private void correct(SignedIn me, Piece piece, NewRevision figures, List<UUID> ids) {
        UUID revision = equipment.revise(me.centreId(), me.personId(), piece.id(), figures);
        PieceRevision now =
                equipment.revisions(me.centreId(), List.of(revision)).get(0);
        used.correct(me, ids, now);
    }

    private List<UUID> usedIn(SignedIn me, Piece piece, LocalDate since) {
        return equipment.usedIn(me.centreId(), piece.id(), since, MOST);
    }

    private List<Sitting> sittings(SignedIn me, List<UUID> ids) {
        return ids.stream().map(id -> sittings.sitting(me, id)).toList();
    }

    /** Marks of those that are handed in, as they come out now. */
    private Map<UUID, MarkSheet> marked(List<Sitting> found) {
        Map<UUID, MarkSheet> marked = new HashMap<>();
        for (Sitting sitting : found) {
            if (!sitting.isReference() && sitting.state().handedIn()) {
                Log log = sittings.log(sitting);
                marked.put(
                        sitting.id(),
                        sittingMarks.markSheet(
                                sitting,
                                log,
                                sittingMarks.references(sitting, log).references()));
            }
        }
        return marked;
    }

    private static FoundSheet found(Sitting sitting, @Nullable MarkSheet before, @Nullable MarkSheet after) {
        return new FoundSheet(
                sitting,
                before == null ? null : before.total(),
                after == null ? null : after.total(),
                before == null ? 0 : before.available());
    }
}
