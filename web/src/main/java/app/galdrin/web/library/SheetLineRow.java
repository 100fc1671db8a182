package app.galdrin.web.library;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SheetLine;
import app.galdrin.core.spec.SideDifference;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * A line of a sheet, deg or mm.
 *
 * @param innerAngle whole degrees; null where the figure is given straight ahead or at the locks
 * @param typed its cells as they were written, as a JSON object
 */
record SheetLineRow(
        UUID sheetId,
        String axle,
        Measurand measurand,
        OptionalDouble min,
        OptionalDouble preferred,
        OptionalDouble max,
        OptionalDouble sideDifference,
        double intendedDifference,
        Adjustable adjustable,
        @Nullable Integer innerAngle,
        String typed) {

    private static final JsonMapper JSON = JsonMapper.shared();
    private static final TypeReference<Map<String, String>> CELLS = new TypeReference<>() {};

    SheetLine toLine() {
        Optional<Limits> limits = min.isEmpty() && max.isEmpty()
                ? Optional.empty()
                : Optional.of(new Limits(core(min), core(preferred), core(max)));
        Optional<SideDifference> difference = sideDifference.isEmpty()
                ? Optional.empty()
                : Optional.of(new SideDifference(
                        PrintedUnits.core(intendedDifference, measurand),
                        PrintedUnits.core(sideDifference.getAsDouble(), measurand)));
        return new SheetLine(
                Keyed.find(Axle.values(), axle),
                measurand,
                limits,
                difference,
                adjustable,
                innerAngle == null ? OptionalInt.empty() : OptionalInt.of(innerAngle),
                limits.isPresent() ? OptionalDouble.empty() : core(preferred),
                JSON.readValue(typed, CELLS));
    }

    private OptionalDouble core(OptionalDouble printed) {
        return printed.isPresent() ? OptionalDouble.of(PrintedUnits.core(printed.getAsDouble(), measurand)) : printed;
    }

    static SheetLineRow of(UUID sheetId, SheetLine line) {
        Optional<Limits> limits = line.limits();
        Optional<SideDifference> difference = line.sideDifference();
        Measurand measurand = line.measurand();
        return new SheetLineRow(
                sheetId,
                line.axle().map(Axle::key).orElse(""),
                measurand,
                printed(limits.map(Limits::min), measurand),
                printed(Optional.of(limits.map(Limits::preferred).orElse(line.preferredAlone())), measurand),
                printed(limits.map(Limits::max), measurand),
                printed(difference.map(d -> OptionalDouble.of(d.most())), measurand),
                difference.map(d -> PrintedUnits.of(d.intended(), measurand)).orElse(0.0),
                line.adjustable(),
                line.innerAngle().isPresent()
                        ? Integer.valueOf(line.innerAngle().getAsInt())
                        : null,
                JSON.writeValueAsString(line.typed()));
    }

    private static OptionalDouble printed(Optional<OptionalDouble> core, Measurand measurand) {
        return core.isPresent() && core.get().isPresent()
                ? OptionalDouble.of(PrintedUnits.of(core.get().getAsDouble(), measurand))
                : OptionalDouble.empty();
    }
}
