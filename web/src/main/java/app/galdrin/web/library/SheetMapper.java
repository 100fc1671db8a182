package app.galdrin.web.library;

import app.galdrin.core.spec.Stance;
import app.galdrin.core.spec.Suspension;
import app.galdrin.core.spec.Vehicle;
import app.galdrin.core.spec.VehicleGeometry;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Vehicles and sheets; lists of parts are of the sheets named. */
@Mapper
interface SheetMapper {
    @Nullable
    SheetRow sheet(UUID centreId, UUID sheetId);

    List<SheetRow> newest(UUID centreId, int most);

    List<SheetRow> versions(UUID centreId, UUID vehicleId, int most);

    @Nullable
    UUID vehicle(UUID centreId, String registration);

    List<SheetLineRow> lines(UUID centreId, List<UUID> sheets);

    List<AdjusterRow> adjusters(UUID centreId, List<UUID> sheets);

    List<AdjusterRow.EffectRow> effects(UUID centreId, List<UUID> sheets);

    List<SheetRow.FastenerRow> fasteners(UUID centreId, List<UUID> sheets);

    /** None where another vehicle has the registration. */
    int insertVehicle(UUID id, UUID centreId, @Param("v") Vehicle vehicle);

    /** None where the vehicle has a sheet of this version. */
    int insertSheet(
            UUID id,
            UUID centreId,
            UUID vehicleId,
            int version,
            @Param("g") VehicleGeometry geometry,
            @Nullable UUID author,
            String reason,
            @Nullable Suspension front,
            @Nullable Suspension rear,
            @Param("stance") Stance stance);

    void insertWheels(UUID centreId, UUID sheetId, @Param("g") VehicleGeometry geometry);

    void insertLines(UUID centreId, List<SheetLineRow> lines);

    void insertFasteners(UUID centreId, List<SheetRow.FastenerRow> fasteners);

    void insertAdjusters(UUID centreId, List<AdjusterRow> adjusters);

    void insertEffects(UUID centreId, List<AdjusterRow.EffectRow> effects);
}
