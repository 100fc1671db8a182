package app.galdrin.core.proof;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.FigurePosition;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.SheetLine;
import app.galdrin.core.spec.SideDifference;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.spec.WheelSize;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.random.RandomGenerator;

/** A made-up vehicle whose sheet limits whatever any procedure tells, and states it may be found in. */
final class ProofVehicle {

    /** Preferred and half the tolerance; deg or mm. */
    private record Line(Measurand measurand, double preferred, double half) {}

    private static final List<Line> LINES = List.of(
            new Line(Measurand.CASTER, 3.5, 0.75),
            new Line(Measurand.CAMBER, -0.4, 0.5),
            new Line(Measurand.KPI, 12.5, 0.75),
            new Line(Measurand.INCLUDED_ANGLE, 12.1, 1),
            new Line(Measurand.TOE, 0.08, 0.1),
            new Line(Measurand.TOTAL_TOE, 0.16, 0.2),
            new Line(Measurand.THRUST, 0, 0.25),
            new Line(Measurand.SIDESLIP, 0, 5),
            new Line(Measurand.SETBACK, 0, 6),
            new Line(Measurand.TURN_OUT, 2, 0.75),
            new Line(Measurand.KINGPIN_TWIST, 0, 0.3),
            new Line(Measurand.RUN_OUT, 0.6, 0.3));

    /** Greatest difference of left and right, deg. */
    private static final double SIDES = 0.5;

    static final SpecificationSheet SHEET = new SpecificationSheet(
            new VehicleGeometry(2760, 1484, 1466, new WheelSize(416, 301), Linkage.BEHIND, 1.5, false, 136, 17.8),
            lines(),
            List.of());

    private ProofVehicle() {}

    private static List<SheetLine> lines() {
        List<SheetLine> lines = new ArrayList<>();
        for (Axle axle : Axle.values()) {
            LINES.forEach(line -> lines.add(new SheetLine(
                    Optional.of(axle),
                    line.measurand(),
                    Optional.of(limits(line)),
                    line.measurand() == Measurand.CASTER || line.measurand() == Measurand.CAMBER
                            ? Optional.of(SideDifference.atMost(Math.toRadians(SIDES)))
                            : Optional.empty(),
                    Adjustable.YES)));
        }
        return lines;
    }

    private static Limits limits(Line line) {
        return Limits.of(
                inCore(line, line.preferred() - line.half()),
                inCore(line, line.preferred()),
                inCore(line, line.preferred() + line.half()));
    }

    private static double inCore(Line line, double value) {
        return line.measurand().quantity().toCore(value);
    }

    /** Every wheel and axle somewhere up to so many tolerances about what is preferred; 0 is exactly that. */
    static Truth state(double tolerances, RandomGenerator random) {
        Map<FigureId, Double> figures = new HashMap<>();
        for (Line line : LINES) {
            for (FigureId figure : figures(line.measurand())) {
                double off = tolerances * line.half() * (2 * random.nextDouble() - 1);
                figures.put(figure, inCore(line, line.preferred() + off));
            }
        }
        return new Truth(figures);
    }

    /** Returns those that are read by themselves. */
    private static List<FigureId> figures(Measurand measurand) {
        List<FigureId> figures = new ArrayList<>();
        switch (measurand) {
            case INCLUDED_ANGLE, TOTAL_TOE, THRUST, SIDESLIP -> {}
            case TURN_OUT -> {
                figures.add(new FigureId(
                        measurand, Location.of(Axle.FRONT), new FigurePosition(FigurePosition.Kind.LEFT_LOCK, 0)));
                figures.add(new FigureId(
                        measurand, Location.of(Axle.FRONT), new FigurePosition(FigurePosition.Kind.RIGHT_LOCK, 0)));
            }
            case SETBACK -> figures.add(FigureId.of(measurand, Axle.FRONT));
            default -> {
                for (Wheel wheel : Wheel.values()) {
                    figures.add(FigureId.of(measurand, wheel));
                }
            }
        }
        return figures;
    }
}
