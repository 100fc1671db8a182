package app.galdrin.web.equipment;

import app.galdrin.core.equipment.EquipmentKind;
import app.galdrin.core.equipment.Kit;
import app.galdrin.core.equipment.WorkshopCheck;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The equipment of a centre. What is known of a piece is added, never changed: a sitting keeps what was known when it was read. */
@Service
public class Equipment {

    private static final int MOST = 400;
    private static final int MOST_OF_A_PIECE = 100;
    private static final int MOST_KEPT = 5_000;

    private final EquipmentMapper mapper;
    private final EquipmentWords words;

    /** A revision never changes. */
    private final Cache<UUID, PieceRevision> revisions =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    Equipment(EquipmentMapper mapper, EquipmentWords words) {
        this.words = words;
        this.mapper = mapper;
    }

    /** All of a centre, by kind and name. */
    public List<Piece> all(UUID centreId) {
        return mapper.pieces(centreId, MOST).stream()
                .map(row -> new Piece(row.revision().equipmentId(), row.name(), row.revision()))
                .toList();
    }

    /** A piece of this person's centre. */
    public Piece piece(SignedIn me, UUID id) {
        return all(me.centreId()).stream()
                .filter(piece -> piece.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotThere("equipment", id, me));
    }

    /** Returns what was known of a piece, the newest first. */
    public List<PieceRevision> history(UUID centreId, UUID pieceId) {
        return mapper.history(centreId, pieceId, MOST_OF_A_PIECE);
    }

    /** Returns the checks of a piece, the newest first. */
    public List<PieceCheck> checks(UUID centreId, UUID pieceId) {
        return mapper.checks(centreId, pieceId, MOST_OF_A_PIECE);
    }

    /** Adds a piece that is as usual for its kind; empty where there is one of that name. */
    @Transactional
    public Optional<UUID> add(UUID centreId, UUID personId, EquipmentKind kind, String name) {
        UUID id = Ids.next();
        if (mapper.add(centreId, id, kind.key(), name) == 0) {
            return Optional.empty();
        }
        mapper.revise(centreId, id, Ids.next(), personId, NewRevision.USUAL);
        return Optional.of(id);
    }

    /** Returns the next name of a kind that nothing has yet: numbered. */
    public String nextName(UUID centreId, EquipmentKind kind) {
        Set<String> taken = all(centreId).stream()
                .filter(piece -> piece.now().kind().equals(kind.key()))
                .map(Piece::name)
                .collect(Collectors.toSet());
        return IntStream.rangeClosed(1, MOST)
                .mapToObj(i -> words.kind(kind) + " " + i)
                .filter(name -> !taken.contains(name))
                .findFirst()
                .orElseThrow();
    }

    /** Adds one piece of every kind that is usual in a workshop and not there yet. */
    @Transactional
    public void addUsual(UUID centreId, UUID personId) {
        Set<String> there =
                all(centreId).stream().map(piece -> piece.now().kind()).collect(Collectors.toSet());
        EquipmentKind.usual().stream()
                .filter(kind -> !there.contains(kind.key()))
                .forEach(kind -> add(centreId, personId, kind, nextName(centreId, kind)));
    }

    /** Writes down what is known of a piece from now on; returns its id. */
    @Transactional
    public UUID revise(UUID centreId, UUID personId, UUID pieceId, NewRevision revision) {
        UUID id = Ids.next();
        mapper.revise(centreId, pieceId, id, personId, revision);
        return id;
    }

    /**
     * Writes a check down.
     *
     * @param first mm or deg
     * @param second mm or deg
     */
    @Transactional
    public void check(SignedIn me, UUID pieceId, WorkshopCheck kind, double first, double second, LocalDate doneOn) {
        mapper.check(me.centreId(), pieceId, Ids.next(), me.personId(), kind, first, second, doneOn);
    }

    /** Returns what a centre does with a piece past its date. */
    public PastDue pastDue(UUID centreId) {
        return mapper.pastDue(centreId);
    }

    @Transactional
    public void setPastDue(UUID centreId, PastDue rule) {
        mapper.setPastDue(centreId, rule);
    }

    // ---- sittings

    /** Chooses for a sitting that begins: of each kind the piece in date that was used last in its bay, else the first by name. */
    @Transactional
    public void pin(UUID centreId, UUID sittingId, UUID personId, @Nullable Integer bay, List<EquipmentKind> kinds) {
        if (!kinds.isEmpty()) {
            mapper.pin(
                    centreId,
                    sittingId,
                    personId,
                    bay,
                    kinds.stream().map(EquipmentKind::key).toList());
        }
    }

    /** Takes another piece for a sitting, as it is known now. */
    @Transactional
    public void choose(UUID centreId, UUID sittingId, UUID personId, PieceRevision piece) {
        mapper.choose(centreId, sittingId, personId, piece.equipmentId(), piece.kind(), piece.id());
    }

    /** Returns the equipment of a sitting. */
    public Kit kitOf(UUID centreId, UUID sittingId) {
        return kit(centreId, mapper.ofSitting(centreId, sittingId));
    }

    /** Returns the equipment that these revisions tell of, one of a kind. */
    public Kit kit(UUID centreId, List<UUID> revisionIds) {
        return revisionIds.isEmpty()
                ? Kit.USUAL
                : Kit.of(revisions(centreId, revisionIds).stream()
                        .map(PieceRevision::tool)
                        .toList());
    }

    /** Returns the revisions with these ids, in their order. */
    public List<PieceRevision> revisions(UUID centreId, List<UUID> ids) {
        Map<UUID, PieceRevision> known = new HashMap<>(revisions.getAllPresent(ids));
        List<UUID> unknown = ids.stream().filter(id -> !known.containsKey(id)).toList();
        if (!unknown.isEmpty()) {
            mapper.revisions(centreId, unknown).forEach(revision -> known.put(revision.id(), revision));
            revisions.putAll(known);
        }
        return ids.stream().map(id -> Objects.requireNonNull(known.get(id))).toList();
    }

    /** Returns the sittings that a piece was used in from a day on, the newest first, up to a bound. */
    public List<UUID> usedIn(UUID centreId, UUID pieceId, LocalDate since, int most) {
        return mapper.usedIn(centreId, pieceId, since, most);
    }
}
