package app.galdrin.web.library;

import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.SheetLine;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.spec.written.WrittenSheet;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.cache.annotation.Cacheable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The vehicles of a centre and their sheets. Neither changes once written, so sheets are kept in memory once read. */
@Service
public class Library {

    private static final int MOST = 200;

    private final SheetMapper mapper;

    Library(SheetMapper mapper) {
        this.mapper = mapper;
    }

    /** A sheet of this centre. */
    @Cacheable(cacheNames = "sheets", key = "{#centreId, #sheetId}")
    public SheetVersion sheet(UUID centreId, UUID sheetId) {
        SheetRow row = mapper.sheet(centreId, sheetId);
        if (row == null) {
            throw new NotThere("sheet", sheetId, "centre " + centreId);
        }
        return whole(centreId, List.of(row)).get(0);
    }

    /** The newest sheet of every vehicle, by vehicle. */
    public List<SheetVersion> newestSheets(UUID centreId) {
        return whole(centreId, mapper.newest(centreId, MOST));
    }

    /** All versions of a vehicle's sheet, the newest first. */
    public List<SheetVersion> versions(UUID centreId, UUID vehicleId) {
        return whole(centreId, mapper.versions(centreId, vehicleId, MOST));
    }

    /** The vehicle of a registration. */
    public Optional<UUID> vehicle(UUID centreId, String registration) {
        return Optional.ofNullable(mapper.vehicle(centreId, registration));
    }

    private List<SheetVersion> whole(UUID centreId, List<SheetRow> rows) {
        if (rows.isEmpty()) {
            return List.of();
        }
        List<UUID> ids = rows.stream().map(SheetRow::id).toList();
        var parts = new SheetRow.Parts(
                mapper.lines(centreId, ids),
                mapper.adjusters(centreId, ids),
                mapper.effects(centreId, ids),
                mapper.fasteners(centreId, ids));
        return rows.stream().map(row -> row.toVersion(parts)).toList();
    }

    /**
     * Adds a vehicle and the first version of its sheet.
     *
     * @param author who wrote it; null where the program did
     * @return the sheet; empty where another vehicle of the centre has the registration
     */
    @Transactional
    public Optional<UUID> addVehicle(UUID centreId, WrittenSheet.ParsedSheet written, @Nullable UUID author) {
        UUID vehicleId = Ids.next();
        return mapper.insertVehicle(vehicleId, centreId, written.vehicle()) == 0
                ? Optional.empty()
                : addSheet(centreId, vehicleId, 1, written.sheet(), author, "");
    }

    /**
     * Adds a version after the one it was made from.
     *
     * @return the sheet; empty where somebody else wrote the next version meanwhile
     */
    @Transactional
    public Optional<UUID> addVersion(
            UUID centreId, SheetVersion after, SpecificationSheet sheet, UUID author, String reason) {
        return addSheet(centreId, after.vehicleId(), after.version() + 1, sheet, author, reason);
    }

    private Optional<UUID> addSheet(
            UUID centreId,
            UUID vehicleId,
            int version,
            SpecificationSheet sheet,
            @Nullable UUID author,
            String reason) {
        UUID id = Ids.next();
        VehicleGeometry g = sheet.geometry();
        int written = mapper.insertSheet(
                id,
                centreId,
                vehicleId,
                version,
                g,
                author,
                reason,
                g.frontSuspension().orElse(null),
                g.rearSuspension().orElse(null),
                sheet.stance());
        if (written == 0) {
            return Optional.empty();
        }
        mapper.insertWheels(centreId, id, sheet.geometry());
        List<SheetLineRow> lines = new ArrayList<>();
        for (SheetLine line : sheet.lines()) {
            lines.add(SheetLineRow.of(id, line));
        }
        List<SheetRow.FastenerRow> fasteners = new ArrayList<>();
        sheet.fasteners().forEach(f -> fasteners.add(SheetRow.FastenerRow.of(id, fasteners.size() + 1, f)));
        List<AdjusterRow> adjusters = new ArrayList<>();
        List<AdjusterRow.EffectRow> effects = new ArrayList<>();
        for (Adjuster adjuster : sheet.adjusters()) {
            adjusters.add(AdjusterRow.of(id, adjusters.size() + 1, adjuster));
            if (!AdjusterRow.computed(adjuster.part(), adjuster.where())) {
                adjuster.effects().forEach((f, effect) -> effects.add(AdjusterRow.effect(id, adjuster, f, effect)));
            }
        }
        if (!lines.isEmpty()) {
            mapper.insertLines(centreId, lines);
        }
        if (!fasteners.isEmpty()) {
            mapper.insertFasteners(centreId, fasteners);
        }
        if (!adjusters.isEmpty()) {
            mapper.insertAdjusters(centreId, adjusters);
        }
        if (!effects.isEmpty()) {
            mapper.insertEffects(centreId, effects);
        }
        return Optional.of(id);
    }
}
