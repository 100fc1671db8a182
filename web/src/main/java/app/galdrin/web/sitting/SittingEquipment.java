package app.galdrin.web.sitting;

import app.galdrin.core.equipment.EquipmentKind;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.equipment.Equipment;
import app.galdrin.web.equipment.PastDue;
import app.galdrin.web.equipment.Piece;
import app.galdrin.web.equipment.PieceRevision;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.words.Sentence;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The equipment that a sitting is read with: what was taken of each kind that its task needs, and what else lies there. */
@Service
public class SittingEquipment {

    private final Equipment equipment;
    private final SittingMapper mapper;
    private final Sittings sittings;

    SittingEquipment(Equipment equipment, SittingMapper mapper, Sittings sittings) {
        this.equipment = equipment;
        this.mapper = mapper;
        this.sittings = sittings;
    }

    /**
     * One kind that a task is measured with.
     *
     * @param used the piece that was taken, as it was known then; empty where there was none to take
     * @param isPast whether that piece was past its date on the day it is asked for
     * @param offered the pieces that can be taken now
     */
    public record KindOfSitting(EquipmentKind kind, Optional<Piece> used, boolean isPast, List<Piece> offered) {
        /** Returns whether there is another piece to take. */
        public boolean isChoice() {
            return offered.size() > (used.isPresent() ? 1 : 0);
        }
    }

    /** Returns the kinds of a sitting of which the centre keeps a piece, in walking order. */
    public List<KindOfSitting> of(Sitting sitting, LocalDate today) {
        List<EquipmentKind> kinds = sitting.task().practical().equipment();
        UUID centre = sitting.centreId();
        List<Piece> all = equipment.all(centre);
        if (all.isEmpty()) {
            return List.of();
        }
        Map<UUID, Piece> byId = all.stream().collect(Collectors.toMap(Piece::id, Function.identity()));
        Map<String, PieceRevision> used = equipment.revisions(centre, sitting.equipment()).stream()
                .collect(Collectors.toMap(PieceRevision::kind, Function.identity()));
        boolean refuses = equipment.pastDue(centre) == PastDue.REFUSE;
        return kinds.stream()
                .map(kind -> {
                    Optional<PieceRevision> its = Optional.ofNullable(used.get(kind.key()));
                    List<Piece> offered = all.stream()
                            .filter(piece -> piece.now().kind().equals(kind.key()))
                            .filter(piece -> isOffered(piece, refuses, today))
                            .toList();
                    return new KindOfSitting(
                            kind,
                            its.flatMap(r -> Optional.ofNullable(byId.get(r.equipmentId()))
                                    .map(piece -> new Piece(piece.id(), piece.name(), r))),
                            its.filter(r -> r.isPast(today)).isPresent(),
                            offered);
                })
                .filter(kind -> kind.used().isPresent()
                        || all.stream()
                                .anyMatch(p -> p.now().kind().equals(kind.kind().key())))
                .toList();
    }

    /** Returns the names of what was taken, in walking order. */
    public static String names(List<KindOfSitting> kinds) {
        return kinds.stream()
                .flatMap(kind -> kind.used().stream())
                .map(Piece::name)
                .collect(Collectors.joining(" · "));
    }

    /** Returns the names of what was past its date. */
    public static List<String> past(List<KindOfSitting> kinds) {
        return kinds.stream()
                .filter(KindOfSitting::isPast)
                .map(kind -> kind.used().orElseThrow().name())
                .toList();
    }

    /** Takes what is known now of a piece for sittings that were read with it, whatever their state. Whoever keeps it holds their locks. */
    @Transactional
    public void correct(SignedIn me, List<UUID> sittingIds, PieceRevision piece) {
        sittingIds.forEach(id -> equipment.choose(me.centreId(), id, me.personId(), piece));
    }

    private static boolean isOffered(Piece piece, boolean refuses, LocalDate today) {
        return piece.now().inUse() && !(refuses && piece.now().isPast(today));
    }

    /** Takes another piece for a sheet that is open; returns why it can't be taken. */
    @Transactional
    public Optional<Sentence> choose(SignedIn me, Sitting sitting, UUID pieceId, LocalDate today) {
        SittingState state = mapper.lock(me.centreId(), sitting.id());
        Piece piece = equipment.all(me.centreId()).stream()
                .filter(p -> p.id().equals(pieceId))
                .filter(p ->
                        sitting.task().practical().equipment().contains(p.now().ofKind()))
                .findFirst()
                .orElseThrow(() -> new NotThere("equipment", pieceId, me));
        if (!Entries.isWriter(me, sitting) || state.handedIn()) {
            return Optional.of(Sentence.of("equipment.closed"));
        }
        if (!isOffered(piece, equipment.pastDue(me.centreId()) == PastDue.REFUSE, today)) {
            return Optional.of(Sentence.of("equipment.refused", piece.name()));
        }
        Sitting now = sittings.whole(me.centreId(), sitting.id());
        if (!now.equipment().contains(piece.now().id())) {
            equipment.choose(me.centreId(), sitting.id(), me.personId(), piece.now());
        }
        return Optional.empty();
    }
}
