package app.galdrin.web.demo.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Truth;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The states in which the vehicles of the demo are found and left. */
final class DemoStates {

    private DemoStates() {}

    /** The state of a front axle, deg: caster of both wheels, camber of both, toe left and right. */
    static Truth front(double caster, double camber, double left, double right) {
        Map<FigureId, Double> figures = new HashMap<>();
        for (Wheel wheel : List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT)) {
            figures.put(FigureId.of(Measurand.CASTER, wheel), Math.toRadians(caster));
            figures.put(FigureId.of(Measurand.CAMBER, wheel), Math.toRadians(camber));
            figures.put(FigureId.of(Measurand.KPI, wheel), Math.toRadians(12.5));
        }
        figures.put(FigureId.of(Measurand.TOE, Wheel.FRONT_LEFT), Math.toRadians(left));
        figures.put(FigureId.of(Measurand.TOE, Wheel.FRONT_RIGHT), Math.toRadians(right));
        figures.put(FigureId.of(Measurand.TOE, Wheel.REAR_LEFT), Math.toRadians(0.12));
        figures.put(FigureId.of(Measurand.TOE, Wheel.REAR_RIGHT), Math.toRadians(0.12));
        return new Truth(figures);
    }

    /** The lorry's front axle, deg: total toe, and how the left kingpin is twisted against its pad. */
    static Truth lorry(double toe, double twist) {
        Map<FigureId, Double> figures = new HashMap<>();
        for (Wheel wheel : List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT)) {
            boolean left = wheel == Wheel.FRONT_LEFT;
            figures.put(FigureId.of(Measurand.CASTER, wheel), Math.toRadians(left ? 2.1 : 3.3));
            figures.put(FigureId.of(Measurand.CAMBER, wheel), Math.toRadians(0.7));
            figures.put(FigureId.of(Measurand.KPI, wheel), Math.toRadians(left ? 7.1 : 6.9));
            figures.put(FigureId.of(Measurand.KINGPIN_TWIST, wheel), Math.toRadians(left ? twist : -0.05));
            figures.put(FigureId.of(Measurand.TOE, wheel), Math.toRadians(toe / 2));
        }
        return new Truth(figures);
    }

    /** The pick-up, deg: left rear toe off by so much, the front with it. */
    static Truth ranger(double rearToe) {
        Map<FigureId, Double> figures = new HashMap<>();
        for (Wheel wheel : Wheel.values()) {
            boolean left = wheel.left();
            figures.put(FigureId.of(Measurand.CASTER, wheel), Math.toRadians(left ? 2.2 : 3.1));
            figures.put(FigureId.of(Measurand.KPI, wheel), Math.toRadians(11));
            figures.put(
                    FigureId.of(Measurand.CAMBER, wheel),
                    Math.toRadians(wheel.front() ? left ? 0.6 : -0.1 : left ? -0.3 : -0.75));
            figures.put(
                    FigureId.of(Measurand.TOE, wheel),
                    Math.toRadians(wheel.front() ? left ? 0.15 : 0.02 : left ? rearToe : 0.09));
        }
        return new Truth(figures);
    }
}
