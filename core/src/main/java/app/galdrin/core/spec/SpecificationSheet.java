package app.galdrin.core.spec;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.FigurePosition;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * One version of a vehicle's specification sheet. Never changed once a task uses it.
 *
 * @param stance how the vehicle stands on its springs where its limits hold; {@link Stance#ANY} where the maker says nothing
 */
public record SpecificationSheet(
        VehicleGeometry geometry,
        List<SheetLine> lines,
        List<Adjuster> adjusters,
        List<Fastener> fasteners,
        Stance stance) {

    public SpecificationSheet {
        lines = lines.stream().sorted(SheetLine.ORDER).toList();
        adjusters = List.copyOf(adjusters);
        fasteners = List.copyOf(fasteners);
    }

    /** One that names no fastener. */
    public SpecificationSheet(VehicleGeometry geometry, List<SheetLine> lines, List<Adjuster> adjusters) {
        this(geometry, lines, adjusters, List.of());
    }

    /** One whose limits hold however the vehicle stands. */
    public SpecificationSheet(
            VehicleGeometry geometry, List<SheetLine> lines, List<Adjuster> adjusters, List<Fastener> fasteners) {
        this(geometry, lines, adjusters, fasteners, Stance.ANY);
    }

    /** Returns the same with limits that hold where the vehicle stands so. */
    public SpecificationSheet at(Stance other) {
        return new SpecificationSheet(geometry, lines, adjusters, fasteners, other);
    }

    /** Returns the line of a measurand on an axle. */
    public Optional<SheetLine> line(Optional<Axle> axle, Measurand measurand) {
        return lines.stream()
                .filter(l -> l.axle().equals(axle) && l.measurand() == measurand)
                .findFirst();
    }

    /** These, and how far the sides may differ in them: wherever both wheels of an axle are among them and this sheet limits the difference. */
    public List<FigureId> withDifferences(List<FigureId> figures) {
        Stream<FigureId> differences = figures.stream()
                .filter(f -> figures.contains(f.otherSide()))
                .flatMap(f -> f.sideDifference().stream())
                .filter(f -> limits(f).isPresent());
        return Stream.concat(figures.stream(), differences).distinct().toList();
    }

    /**
     * The limits of a figure; of a side difference they lie about what is intended. Those of the turn-out are of both locks, or of the inner angle
     * that the sheet names, to both sides; other steered or lifted positions have none here.
     */
    public Optional<Limits> limits(FigureId figure) {
        if (figure.measurand().form() == Measurand.Form.DIFFERENCE) {
            return line(figure.axle(), figure.measurand().base())
                    .filter(line -> figure.at().equals(FigurePosition.AHEAD))
                    .flatMap(SheetLine::sideDifference)
                    .map(SideDifference::limits);
        }
        return line(figure.axle(), figure.measurand())
                .filter(line -> line.isGivenAt(figure.at()))
                .flatMap(SheetLine::limits);
    }

    /** Returns what a figure is to be set to, or is where nobody sets it, rad or mm: within its limits, or printed without any. */
    public OptionalDouble preferred(FigureId figure) {
        return limits(figure)
                .map(Limits::target)
                .orElseGet(() -> line(figure.axle(), figure.measurand())
                        .map(SheetLine::preferredAlone)
                        .orElse(OptionalDouble.empty()));
    }

    /** The unit and place in which a figure's limits are given; degrees to hundredths where the sheet has no line of it. */
    public SheetScale scale(FigureId figure) {
        return line(figure.axle(), figure.measurand())
                .or(() -> line(figure.axle(), figure.measurand().base()))
                .map(SheetScale::of)
                .orElseGet(() -> SheetScale.usual(figure));
    }

    /** Returns whether what an adjustment holds can be adjusted on this vehicle; a sheet that is silent about it says no, and so it is of a screen. */
    public Adjustable adjustable(FigureId.Adjustment adjustment) {
        if (adjustment.measurand().isScreen()) {
            return Adjustable.NO;
        }
        return lines.stream()
                .filter(l -> l.axle().equals(adjustment.axle()) && l.measurand().base() == adjustment.measurand())
                .map(SheetLine::adjustable)
                .filter(a -> a != Adjustable.NO)
                .min(Comparator.naturalOrder()) // what is known of one line counts before what is not of another
                .orElse(Adjustable.NO);
    }

    /** Returns what is slackened to move a part and tightened after it; empty where the sheet does not say. */
    public Optional<Fastener> fastener(Adjuster adjuster) {
        return adjuster.fastener()
                .flatMap(name -> fasteners.stream().filter(f -> f.isNamed(name)).findFirst());
    }

    /** The parts that move figures of an adjustment, in the order of the sheet. */
    public List<Adjuster> adjusters(FigureId.Adjustment adjustment) {
        return adjustable(adjustment) == Adjustable.NO
                ? List.of()
                : adjusters.stream().filter(a -> a.moves(adjustment)).toList();
    }

    /** Returns the fasteners that hold such a part, in the order of the sheet. */
    public List<Fastener> fasteners(FastenerUse use) {
        return fasteners.stream().filter(f -> f.use().equals(Optional.of(use))).toList();
    }

    /** Returns what its fasteners hold, each once, in the order of {@link FastenerUse}. */
    public List<FastenerUse> fastenerUses() {
        return fasteners.stream()
                .flatMap(f -> f.use().stream())
                .distinct()
                .sorted()
                .toList();
    }
}
