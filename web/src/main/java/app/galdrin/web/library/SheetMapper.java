package app.galdrin.web.library;

import app.galdrin.core.spec.VehicleGeometry;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Vehicles and sheets. Lists of parts are of one sheet, or of the newest of every vehicle where none is named. */
@Mapper
interface SheetMapper {
    @Nullable
    SheetRow sheet(UUID centreId, UUID sheetId);

    List<SheetRow> newest(UUID centreId, int most);

    List<SheetRow> versions(UUID centreId, UUID vehicleId, int most);

    List<SheetLineRow> lines(UUID centreId, List<UUID> sheets);

    List<AdjusterRow> adjusters(UUID centreId, List<UUID> sheets);

    List<AdjusterRow.EffectRow> effects(UUID centreId, List<UUID> sheets);

    void insertVehicle(UUID id, UUID centreId, @Param("v") NewVehicle vehicle);

    void insertSheet(UUID id, UUID centreId, UUID vehicleId, int version, @Param("g") VehicleGeometry geometry);

    void insertLine(UUID centreId, @Param("l") SheetLineRow line);

    void insertAdjuster(UUID centreId, @Param("a") AdjusterRow adjuster);

    void insertEffect(UUID centreId, @Param("e") AdjusterRow.EffectRow effect);
}
