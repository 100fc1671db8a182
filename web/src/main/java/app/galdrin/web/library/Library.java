package app.galdrin.web.library;

import app.galdrin.core.spec.QuantityLimits;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.library.internal.SheetLineRow;
import app.galdrin.web.library.internal.SheetMapper;
import app.galdrin.web.library.internal.SheetRow;
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
            throw new NotThere("sheet");
        }
        return row.toVersion(mapper.lines(centreId, sheetId));
    }

    /** The newest sheet of every vehicle, by vehicle. */
    public List<SheetVersion> newestSheets(UUID centreId) {
        List<SheetLineRow> lines = mapper.newestLines(centreId, MOST);
        return mapper.newest(centreId, MOST).stream()
                .map(row -> row.toVersion(
                        lines.stream().filter(l -> l.sheetId().equals(row.id())).toList()))
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
        for (QuantityLimits line : sheet.lines()) {
            mapper.insertLine(centreId, SheetLineRow.of(sheetId, line));
        }
        return sheetId;
    }
}
