package app.galdrin.web.library.internal;

import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.library.NewVehicle;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Vehicles and sheets. */
@Mapper
public interface SheetMapper {

    @Nullable
    SheetRow sheet(UUID centreId, UUID sheetId);

    List<SheetLineRow> lines(UUID centreId, UUID sheetId);

    List<SheetRow> newest(UUID centreId, int most);

    List<SheetLineRow> newestLines(UUID centreId, int most);

    void insertVehicle(UUID id, UUID centreId, @Param("v") NewVehicle vehicle);

    void insertSheet(UUID id, UUID centreId, UUID vehicleId, int version, @Param("g") VehicleGeometry geometry);

    void insertLine(UUID centreId, @Param("l") SheetLineRow line);
}
