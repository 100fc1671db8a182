package app.galdrin.core.spec.written;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Adjuster.Effect;
import app.galdrin.core.spec.AdjusterUnit;
import app.galdrin.core.spec.Fastener;
import app.galdrin.core.spec.Part;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.steering.TrackRod;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** Reads the parts that move figures, and what each does to which. */
final class PartsReader {

    // more than any part is moved in one go or moves a figure by one unit; our own working values, deg, mm or the
    // part's unit
    private static final double MOST_AMOUNT = 200;
    private static final double MOST_ANGLE = 10;
    private static final double MOST_LENGTH = 50;
    private static final double USUAL_MOST = 20;
    private static final double USUAL_STEP = 0.5;
    private static final double USUAL_TURN = 0.125;
    private static final List<String> SIGNS = List.of("+", "-", "−");

    private final List<SheetFault> faults;
    private final Optional<VehicleGeometry> geometry;
    private final List<Fastener> fasteners;
    private final Map<String, Map<FigureId, Effect>> effects = new LinkedHashMap<>();

    PartsReader(List<SheetFault> faults, Optional<VehicleGeometry> geometry, List<Fastener> fasteners) {
        this.faults = faults;
        this.geometry = geometry;
        this.fasteners = fasteners;
    }

    List<Adjuster> read(SheetDraft draft) {
        for (SheetDraft.Row row : draft.of(RowKind.PART)) {
            var c = new Cells(row, faults);
            id(c).ifPresent(id -> {
                if (effects.putIfAbsent(id, new HashMap<>()) != null) {
                    c.fault(Cell.PART, SheetFaultCode.TWICE);
                }
            });
        }
        draft.of(RowKind.EFFECT).forEach(row -> effect(new Cells(row, faults)));
        List<Adjuster> adjusters = new ArrayList<>();
        draft.of(RowKind.PART).forEach(row -> adjuster(new Cells(row, faults)).ifPresent(adjusters::add));
        return adjusters;
    }

    /** Faults of part and place are named by the part's own row alone. */
    private static Optional<String> id(Cells c) {
        Optional<Part> part = c.neededWord(Cell.PART, Part.values());
        Optional<Location> where = c.word(Cell.WHERE, Location.values());
        return part.isPresent() && where.isPresent() ? Optional.of(id(part.get(), where.get())) : Optional.empty();
    }

    private static String id(Part part, Location where) {
        return part.key() + "." + where.key();
    }

    private static boolean isRod(Part part, Location where) {
        return part == Part.ROD && where.wheel().isPresent();
    }

    private void effect(Cells c) {
        Optional<Part> part = c.neededWord(Cell.PART, Part.values());
        Optional<Location> where = c.word(Cell.WHERE, Location.values());
        Optional<FigureId> figure = FigureId.parse(c.needed(Cell.FIGURE));
        if (c.has(Cell.FIGURE) && figure.isEmpty()) {
            c.fault(Cell.FIGURE, SheetFaultCode.UNKNOWN);
        }
        if (part.isEmpty() || where.isEmpty() || figure.isEmpty()) {
            return;
        }
        if (isRod(part.get(), where.get())) {
            c.fault(Cell.PART, SheetFaultCode.COMPUTED);
            return;
        }
        Map<FigureId, Effect> ofPart = effects.get(id(part.get(), where.get()));
        if (ofPart == null) {
            c.fault(Cell.PART, SheetFaultCode.NO_SUCH_PART);
            return;
        }
        amount(c, figure.get()).ifPresent(effect -> {
            if (ofPart.put(figure.get(), effect) != null) {
                c.fault(Cell.FIGURE, SheetFaultCode.TWICE);
            }
        });
    }

    /** Returns what one unit does, or only which way. */
    private static Optional<Effect> amount(Cells c, FigureId figure) {
        String text = c.needed(Cell.AMOUNT);
        if (SIGNS.contains(text)) {
            if (c.has(Cell.DOUBT)) {
                c.fault(Cell.DOUBT, SheetFaultCode.DOUBT_OF_A_WAY);
            }
            return Optional.of(Effect.way(text.equals("+") ? 1 : -1));
        }
        boolean length = figure.measurand().quantity() == Quantity.LENGTH;
        Unit unit = length ? Unit.MM : Unit.DEG;
        double most = length ? MOST_LENGTH : MOST_ANGLE;
        OptionalDouble amount = c.quantity(Cell.AMOUNT, unit, -most, most);
        OptionalDouble doubt = c.quantity(Cell.DOUBT, unit, 0, most);
        if (amount.isPresent() && amount.getAsDouble() == 0) {
            c.fault(Cell.AMOUNT, SheetFaultCode.NO_EFFECT);
            return Optional.empty();
        }
        return amount.isPresent()
                ? Optional.of(Effect.of(inCore(amount.getAsDouble(), length), inCore(doubt.orElse(0), length)))
                : Optional.empty();
    }

    private static double inCore(double value, boolean length) {
        return length ? value : Quantity.ANGLE.toCore(value);
    }

    private Optional<Adjuster> adjuster(Cells c) {
        Optional<Part> part = Keyed.find(Part.values(), c.text(Cell.PART));
        Optional<Location> where = Keyed.find(Location.values(), c.text(Cell.WHERE));
        double most = c.number(Cell.MOST, 0.1, MOST_AMOUNT).orElse(USUAL_MOST);
        double step = c.number(Cell.SMALLEST, 0.01, MOST_AMOUNT)
                .orElse(part.filter(p -> p.unit() == AdjusterUnit.TURN).isPresent() ? USUAL_TURN : USUAL_STEP);
        boolean reread = c.yes(Cell.REREAD, true);
        if (step > most) {
            c.fault(Cell.SMALLEST, SheetFaultCode.WRONG_WAY_ROUND, c.text(Cell.MOST));
        }
        OptionalDouble spare = c.number(Cell.SPARE, 0, MOST_AMOUNT);
        if (spare.isPresent() && part.isPresent() && !Adjuster.isThreaded(part.get())) {
            c.fault(Cell.SPARE, SheetFaultCode.NO_THREAD);
        }
        if (c.has(Cell.FASTENER) && fasteners.stream().noneMatch(f -> f.isNamed(c.text(Cell.FASTENER)))) {
            c.fault(Cell.FASTENER, SheetFaultCode.NO_SUCH_FASTENER);
        }
        if (part.isEmpty() || where.isEmpty()) {
            return Optional.empty();
        }
        Map<FigureId, Effect> moved = isRod(part.get(), where.get())
                ? geometry.map(g -> TrackRod.effects(where.get().wheel().orElseThrow(), g))
                        .orElse(Map.of())
                : effects.getOrDefault(id(part.get(), where.get()), Map.of());
        Optional<String> fastener = Optional.of(c.text(Cell.FASTENER)).filter(f -> !f.isEmpty());
        return Optional.of(
                new Adjuster(part.get(), where.get(), part.get().unit(), most, step, moved, reread, fastener, spare));
    }
}
