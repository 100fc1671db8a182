package app.galdrin.web.equipment;

import app.galdrin.core.equipment.CertifiedLength;
import app.galdrin.core.equipment.EquipmentKind;
import app.galdrin.core.equipment.Tool;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.quantity.Quantity;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Knowledge of a piece of equipment from a day on.
 *
 * @param kind key of the kind
 * @param resolution smallest step of its scale, mm or deg, above 0; null: as is usual for the kind
 * @param offsetShown what it shows too much, mm or deg
 * @param offsetDoubt standard uncertainty of that, mm or deg, 0 or more
 * @param toolLength mm, above 0; null: as is usual, or none that matters
 * @param lengthDoubt standard uncertainty of that, mm, 0 or more
 * @param certificate its number; empty where it has none
 * @param dueOn the day from which on it is past its date; null where it has none
 * @param note why it was written
 * @param madeBy who wrote it
 */
public record PieceRevision(
        UUID id,
        UUID equipmentId,
        String kind,
        @Nullable Double resolution,
        double offsetShown,
        double offsetDoubt,
        @Nullable Double toolLength,
        double lengthDoubt,
        String certificate,
        @Nullable LocalDate certifiedOn,
        @Nullable LocalDate dueOn,
        boolean inUse,
        String note,
        String madeBy,
        Instant madeAt) {

    /** Returns the kind of the piece. */
    public EquipmentKind ofKind() {
        return EquipmentKind.named(kind).orElseThrow();
    }

    /** Returns the piece as it is known. */
    public Tool tool() {
        Tool usual = Tool.usual(equipmentId.toString(), ofKind());
        Quantity quantity = ofKind().reads().map(CatalogueInstrument::quantity).orElse(Quantity.LENGTH);
        return new Tool(
                usual.id(),
                usual.kind(),
                resolution == null ? usual.resolution() : quantity.toCore(resolution),
                quantity.toCore(offsetShown),
                quantity.toCore(offsetDoubt),
                Optional.ofNullable(toolLength).map(length -> new CertifiedLength(length, lengthDoubt)));
    }

    /** Returns whether its certificate has run out. */
    public boolean isPast(LocalDate today) {
        return dueOn != null && dueOn.isBefore(today);
    }
}
