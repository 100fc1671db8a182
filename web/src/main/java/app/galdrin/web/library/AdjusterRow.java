package app.galdrin.web.library;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.AdjusterUnit;
import app.galdrin.core.spec.Part;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.steering.TrackRod;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
        boolean rereadAfter,
        @Nullable String fastener,
        OptionalDouble spare) {

    /** Effect of one unit on a figure, deg or mm. */
    record EffectRow(
            UUID sheetId, Part part, String whereKey, String figure, int sign, OptionalDouble perUnit, double doubt) {}

    Adjuster toAdjuster(VehicleGeometry geometry, List<EffectRow> rows) {
        Location where = Keyed.of(Location.values(), whereKey);
        Map<FigureId, Adjuster.Effect> effects = new HashMap<>();
        if (computed(part, where)) {
            effects.putAll(TrackRod.effects(where.wheel().orElseThrow(), geometry));
        }
        for (EffectRow row : rows) {
            if (row.sheetId().equals(sheetId)
                    && row.part() == part
                    && row.whereKey().equals(whereKey)) {
                FigureId figure = FigureId.parse(row.figure()).orElseThrow();
                effects.put(figure, effect(figure, row));
            }
        }
        return new Adjuster(
                part, where, unit, most, smallestStep, effects, rereadAfter, Optional.ofNullable(fastener), spare);
    }

    /** A rod's effect follows from thread and steering arm. */
    static boolean computed(Part part, Location where) {
        return part == Part.ROD && where.wheel().isPresent();
    }

    private static Adjuster.Effect effect(FigureId figure, EffectRow row) {
        if (row.perUnit().isEmpty()) {
            return Adjuster.Effect.way(row.sign());
        }
        return Adjuster.Effect.of(
                PrintedUnits.core(row.perUnit().getAsDouble(), figure.measurand()),
                PrintedUnits.core(row.doubt(), figure.measurand()));
    }

    static AdjusterRow of(UUID sheetId, int ordinal, Adjuster a) {
        return new AdjusterRow(
                sheetId,
                a.part(),
                a.where().key(),
                ordinal,
                a.unit(),
                a.most(),
                a.smallestStep(),
                a.rereadAfter(),
                a.fastener().orElse(null),
                a.spare());
    }

    static EffectRow effect(UUID sheetId, Adjuster a, FigureId figure, Adjuster.Effect effect) {
        OptionalDouble perUnit = effect.perUnit();
        return new EffectRow(
                sheetId,
                a.part(),
                a.where().key(),
                figure.key(),
                effect.sign(),
                perUnit.isPresent()
                        ? OptionalDouble.of(PrintedUnits.of(perUnit.getAsDouble(), figure.measurand()))
                        : perUnit,
                PrintedUnits.of(effect.doubt(), figure.measurand()));
    }
}
