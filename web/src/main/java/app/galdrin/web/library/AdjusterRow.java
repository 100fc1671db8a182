package app.galdrin.web.library;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Where;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.AdjusterUnit;
import app.galdrin.core.spec.Part;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.steering.TrackRod;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A part of a sheet. */
record AdjusterRow(
        UUID sheetId,
        Part part,
        String whereKey,
        int ordinal,
        AdjusterUnit unit,
        double most,
        double smallestStep,
        boolean rereadAfter) {

    /** What one unit does to a figure, deg or mm. */
    record EffectRow(
            UUID sheetId,
            Part part,
            String whereKey,
            String figure,
            int sign,
            @Nullable Double perUnit,
            @Nullable Double doubt) {}

    Adjuster toAdjuster(VehicleGeometry geometry, List<EffectRow> rows) {
        Where where = Keyed.of(Where.values(), whereKey);
        if (part == Part.ROD && where.wheel().isPresent()) {
            return TrackRod.adjuster(where.wheel().get(), geometry);
        }
        Map<FigureId, Adjuster.Effect> effects = new HashMap<>();
        for (EffectRow row : rows) {
            if (row.sheetId().equals(sheetId)
                    && row.part() == part
                    && row.whereKey().equals(whereKey)) {
                FigureId figure = FigureId.parse(row.figure()).orElseThrow();
                effects.put(figure, effect(figure, row));
            }
        }
        return new Adjuster(part, where, unit, most, smallestStep, effects, rereadAfter);
    }

    private static Adjuster.Effect effect(FigureId figure, EffectRow row) {
        if (row.perUnit() == null) {
            return Adjuster.Effect.way(row.sign());
        }
        double doubt = row.doubt() == null ? 0 : row.doubt();
        boolean angle = figure.measurand().quantity() == Quantity.ANGLE;
        return Adjuster.Effect.of(
                angle ? Math.toRadians(row.perUnit()) : row.perUnit(), angle ? Math.toRadians(doubt) : doubt);
    }

    static AdjusterRow of(UUID sheetId, int ordinal, Adjuster a) {
        return new AdjusterRow(
                sheetId, a.part(), a.where().key(), ordinal, a.unit(), a.most(), a.smallestStep(), a.rereadAfter());
    }

    static EffectRow effect(UUID sheetId, Adjuster a, FigureId figure, Adjuster.Effect effect) {
        boolean angle = figure.measurand().quantity() == Quantity.ANGLE;
        OptionalDouble perUnit = effect.perUnit();
        return new EffectRow(
                sheetId,
                a.part(),
                a.where().key(),
                figure.key(),
                effect.sign(),
                perUnit.isEmpty() ? null : printed(perUnit.getAsDouble(), angle),
                printed(effect.doubt(), angle));
    }

    private static double printed(double core, boolean angle) {
        return Math.rint((angle ? Math.toDegrees(core) : core) * 1e9) / 1e9;
    }
}
