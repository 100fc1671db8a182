package app.galdrin.web.library;

import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Part;
import app.galdrin.core.spec.SheetLine;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import java.util.List;
import java.util.UUID;
import org.springframework.cache.annotation.Cacheable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The vehicles of a centre and their sheets. Sheets never change, so they are kept in memory once read. */
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

    private List<SheetVersion> whole(UUID centreId, List<SheetRow> rows) {
        if (rows.isEmpty()) {
            return List.of();
        }
        List<UUID> ids = rows.stream().map(SheetRow::id).toList();
        var lines = mapper.lines(centreId, ids);
        var adjusters = mapper.adjusters(centreId, ids);
        var effects = mapper.effects(centreId, ids);
        return rows.stream()
                .map(row -> row.toVersion(lines, adjusters, effects))
                .toList();
    }

    /** Adds a vehicle and the first version of its sheet. */
    @Transactional
    public UUID addVehicle(UUID centreId, NewVehicle vehicle) {
        UUID vehicleId = Ids.next();
        mapper.insertVehicle(vehicleId, centreId, vehicle);
        return addSheet(centreId, vehicleId, 1, vehicle.sheet());
    }

    private UUID addSheet(UUID centreId, UUID vehicleId, int version, SpecificationSheet sheet) {
        UUID sheetId = Ids.next();
        mapper.insertSheet(sheetId, centreId, vehicleId, version, sheet.geometry());
        for (SheetLine line : sheet.lines()) {
            mapper.insertLine(centreId, SheetLineRow.of(sheetId, line));
        }
        int ordinal = 0;
        for (Adjuster adjuster : sheet.adjusters()) {
            mapper.insertAdjuster(centreId, AdjusterRow.of(sheetId, ++ordinal, adjuster));
            if (adjuster.part() != Part.ROD) { // a rod's effect is computed from thread and steering arm
                adjuster.effects()
                        .forEach((figure, effect) ->
                                mapper.insertEffect(centreId, AdjusterRow.effect(sheetId, adjuster, figure, effect)));
            }
        }
        return sheetId;
    }
}
