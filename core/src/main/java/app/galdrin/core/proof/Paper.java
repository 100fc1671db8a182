package app.galdrin.core.proof;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Paper working of a textbook from the readings of one repeat, written out independently: nothing of it comes from the kinds that work records. A
 * slip is made where its description says. Figures are by key, rad or mm; readings mm or deg by place.
 */
final class Paper {

    private static final List<String> WHEELS = List.of("fl", "fr", "rl", "rr");

    private static final Set<String> LEVELS =
            Set.of("inclinometer", "inclinometerZeroed", "inclinometer90", "inclinometerTurned", "plumbRule");

    private static final Set<String> SWEEPS = Set.of("sweep", "sweep90", "sweepFive", "fullLock");

    private static final Set<String> SPANS =
            Set.of("plates", "rigidFrames", "longBars", "outsideJig", "treadTape", "floorLaser");

    private static final double INCH = 25.4;
    private static final double UPRIGHT = 90;

    /**
     * Data known beside the readings.
     *
     * @param rim diameter, mm; {@code tyre} radius, mm
     * @param pitch of the bay as surveyed, rad; {@code roll} likewise
     * @param rearLeft toe as it was found before, rad; {@code rearRight} likewise
     * @param taught key of the sweep's working
     */
    record KnownData(
            double rim,
            double tyre,
            double wheelbase,
            double pitch,
            double roll,
            double rearLeft,
            double rearRight,
            String taught) {}

    /**
     * Habit of writing down intermediate figures.
     *
     * @param writes whether figures on the way are written to a place at all
     * @param cutsOff whether further places are left off instead of rounded
     * @param factorPlace the place a factor is written to; 0 where it stays in the calculator
     * @param degreesARadian degrees of a radian as the method takes it, deg
     */
    record Writing(boolean writes, boolean cutsOff, double factorPlace, double degreesARadian) {
        static final Writing NONE = new Writing(false, false, 0, Math.toDegrees(1));

        double to(double value, double place) {
            if (place == 0) {
                return value;
            }
            double places = value / place;
            return place * (cutsOff ? Math.signum(places) * Math.floor(Math.abs(places) + 1e-9) : Math.rint(places));
        }

        /** mm. */
        private double length(double mm) {
            return writes ? to(mm, 0.1) : mm;
        }

        /** rad. */
        private double angle(double rad) {
            return writes ? Math.toRadians(to(Math.toDegrees(rad), 0.01)) : rad;
        }

        private double factor(double number) {
            return to(number, writes && factorPlace == 0 ? 0.001 : factorPlace);
        }

        /** The angle of a small ratio, rad. */
        private double arc(double ratio) {
            return this == NONE ? Math.asin(ratio) : Math.toRadians(ratio * degreesARadian);
        }
    }

    private final String procedure;
    private final KnownData known;
    private final @Nullable PaperSlip slip;
    private final Writing writing;

    Paper(String procedure, KnownData known, @Nullable PaperSlip slip, Writing writing) {
        this.procedure = procedure;
        this.known = known;
        this.slip = slip;
        this.writing = writing;
    }

    private boolean is(PaperSlip one) {
        return slip == one;
    }

    /** The figures of wheels and axles that one repeat comes to; totals are put together of them where they are. */
    Map<String, Double> work(Map<String, Double> readings) {
        Map<String, Double> r = used(readings);
        Map<String, Double> figures = new LinkedHashMap<>();
        if (procedure.equals("strings") || procedure.equals("battens")) {
            strings(r, figures);
        } else if (procedure.equals("rearString") || procedure.equals("laserLine")) {
            lines(r, figures);
        } else if (SPANS.contains(procedure)) {
            spans(r, figures);
        } else if (LEVELS.contains(procedure)) {
            levels(r, figures);
        } else if (SWEEPS.contains(procedure)) {
            sweeps(r, figures);
        } else {
            others(r, figures);
        }
        figures.values().removeIf(v -> !Double.isFinite(v));
        return figures;
    }

    // ---- readings used otherwise than they were read

    private Map<String, Double> used(Map<String, Double> readings) {
        Map<String, Double> used = new HashMap<>(readings);
        if (is(PaperSlip.FRONT_REAR_SWAPPED)) {
            readings.forEach((place, value) -> {
                Double other = readings.get(otherEnd(place));
                if (other != null) {
                    used.put(place, other);
                }
            });
        }
        boolean inches = is(PaperSlip.INCHES_UNCONVERTED);
        if (inches || is(PaperSlip.GAPS_UNCONVERTED)) {
            used.replaceAll((place, v) -> isGap(place) || inches && isEachLength(place) ? v / INCH : v);
        }
        return used;
    }

    private static String otherEnd(String place) {
        if (place.contains("frontGap") || place.contains("frontDistance")) {
            return place.replace("frontGap", "rearGap").replace("frontDistance", "rearDistance");
        }
        if (place.contains("topGap") || place.contains("bottomGap")) {
            return place.contains("topGap")
                    ? place.replace("topGap", "bottomGap")
                    : place.replace("bottomGap", "topGap");
        }
        return place.replace("rearGap", "frontGap").replace("rearDistance", "frontDistance");
    }

    private static boolean isGap(String place) {
        return place.contains("Gap");
    }

    private boolean isEachLength(String place) {
        boolean length = place.contains("Distance") && !place.equals("stationDistance")
                || place.contains("Spacing")
                || place.contains("slip")
                || place.endsWith(".wheelbase");
        return length || procedure.equals("flags") && place.startsWith("r") || procedure.equals("flagsMillimetres");
    }

    private static double at(Map<String, Double> readings, String place) {
        return readings.getOrDefault(place, Double.NaN);
    }

    private static String name(String wheel) {
        return (wheel.startsWith("f") ? "front." : "rear.") + (wheel.endsWith("l") ? "left" : "right");
    }

    private static int side(String wheel) {
        return wheel.endsWith("l") ? 1 : -1;
    }

    // ---- toe

    private double over(double usual) {
        double tyre = 2 * known.tyre();
        if (procedure.equals("floorLaser")) {
            return usual; // its length is read with the rest
        }
        return is(PaperSlip.WRONG_BASELINE) ? Math.abs(usual - tyre) < 1 ? known.rim() : tyre : usual;
    }

    private double frontOnly(String wheel, double usual) {
        return wheel.startsWith("f") ? over(usual) : usual;
    }

    private double skew(Map<String, Double> r, int side) {
        double opens = procedure.equals("battens") ? 0 : at(r, "stringSpacingFront") - at(r, "stringSpacingRear");
        double leans = (at(r, "hubGap.fl") - at(r, "hubGap.fr")) - (at(r, "hubGap.rl") - at(r, "hubGap.rr"));
        return (opens / at(r, "stationDistance") + side * leans / known.wheelbase()) / 2;
    }

    private void strings(Map<String, Double> r, Map<String, Double> figures) {
        for (String wheel : WHEELS) {
            double skew = writing.angle(skew(r, side(wheel)));
            double taken = is(PaperSlip.SKEW_LEFT_OUT) ? 0 : is(PaperSlip.SKEW_ADDED) ? -skew : skew;
            figures.put("toe." + name(wheel), gaps(r, wheel, "wheels." + wheel, 0) - taken);
        }
    }

    private void lines(Map<String, Double> r, Map<String, Double> figures) {
        boolean rear = procedure.equals("rearString");
        for (String wheel : rear ? List.of("fl", "fr") : WHEELS) {
            double heads = !rear ? 0 : wheel.endsWith("l") ? known.rearLeft() : known.rearRight();
            figures.put("toe." + name(wheel), gaps(r, wheel, "wheels." + wheel, 0) + heads);
        }
    }

    private double gaps(Map<String, Double> r, String wheel, String place, double more) {
        double difference = writing.length(at(r, place + ".frontGap") - at(r, place + ".rearGap"));
        return writing.arc(difference / frontOnly(wheel, known.rim())) + more;
    }

    private void spans(Map<String, Double> r, Map<String, Double> figures) {
        for (String axle : List.of("front", "rear")) {
            String at = axle.equals("front") ? "" : "rear.";
            double difference = writing.length(at(r, at + "rearDistance") - at(r, at + "frontDistance"));
            double closes = procedure.equals("outsideJig") ? -difference : difference;
            double usual = writing.writes() ? Math.rint(span(r, axle)) : span(r, axle);
            double baseline = axle.equals("front") ? over(usual) : usual;
            double doubled = is(PaperSlip.DOUBLING_FORGOTTEN) ? 2 : is(PaperSlip.DOUBLED_TWICE) ? 0.5 : 1;
            figures.put("totalToe." + axle, doubled * 2 * writing.arc(closes / (2 * baseline)));
        }
    }

    private double span(Map<String, Double> r, String axle) {
        return switch (procedure) {
            case "plates" -> 500;
            case "rigidFrames" -> 640;
            case "longBars" -> 1500;
            case "floorLaser" -> 2 * at(r, axle + ".marks");
            case "treadTape" -> {
                double below = at(r, axle + ".below");
                yield 2 * Math.sqrt(known.tyre() * known.tyre() - below * below);
            }
            default -> known.rim();
        };
    }

    // ---- camber and caster

    private double roll() {
        return is(PaperSlip.FLOOR_IGNORED) ? 0 : is(PaperSlip.FLOOR_WRONG_WAY) ? -known.roll() : known.roll();
    }

    private double pitch() {
        return is(PaperSlip.FLOOR_IGNORED) ? 0 : is(PaperSlip.FLOOR_WRONG_WAY) ? -known.pitch() : known.pitch();
    }

    private void levels(Map<String, Double> r, Map<String, Double> figures) {
        for (String wheel : WHEELS) {
            double gauge = at(r, wheel + ".gauge");
            double floor = Math.toRadians(at(r, wheel + ".floor"));
            double used = is(PaperSlip.FLOOR_IGNORED) ? 0 : is(PaperSlip.FLOOR_WRONG_WAY) ? -floor : floor;
            double camber = switch (procedure) {
                case "inclinometerZeroed" -> Math.toRadians(gauge);
                case "inclinometer" -> Math.toRadians(gauge) + side(wheel) * used;
                case "inclinometer90" ->
                    is(PaperSlip.NINETY_AS_CAMBER) || is(PaperSlip.DISTANCE_FROM_NINETY)
                            ? Math.toRadians(Math.abs(gauge) - (is(PaperSlip.NINETY_AS_CAMBER) ? 0 : UPRIGHT))
                            : writing.angle(Math.toRadians(leans(gauge))) + side(wheel) * used;
                case "inclinometerTurned" ->
                    writing.angle(Math.toRadians((gauge + at(r, wheel + ".turned")) / 2)) + side(wheel) * roll();
                default -> {
                    double difference = writing.length(at(r, wheel + ".bottomGap") - at(r, wheel + ".topGap"));
                    yield writing.angle(writing.arc(difference / known.rim())) + side(wheel) * roll();
                }
            };
            figures.put("camber." + name(wheel), camber);
        }
    }

    /** Returns the lean of a gauge that shows 90 at plumb, deg. */
    private static double leans(double shown) {
        return Math.signum(shown) * Math.abs(UPRIGHT - Math.abs(shown));
    }

    private double swept(double shown) {
        double leans = procedure.equals("sweep90") ? leans(shown) : shown;
        boolean lost = is(PaperSlip.CAMBER_SIGNS_LOST);
        return Math.toRadians(lost ? Math.abs(leans) : is(PaperSlip.NINETY_AS_CAMBER) ? -Math.abs(leans) : leans);
    }

    private void sweeps(Map<String, Double> r, Map<String, Double> figures) {
        for (String wheel : List.of("fl", "fr")) {
            double span = at(r, wheel + ".out.steer") + at(r, wheel + ".in.steer");
            double exact = 1 / (2 * Math.sin(Math.toRadians(span / 2)));
            double factor = switch (known.taught()) {
                case "oneAndAHalf" -> 1.5;
                case "subtract" -> 1;
                default -> writing.factor(exact);
            };
            double used = is(PaperSlip.FACTOR_FORGOTTEN) ? 1 : is(PaperSlip.ONE_AND_A_HALF_USED) ? 1.5 : factor;
            double difference = swept(at(r, wheel + ".out.camber")) - swept(at(r, wheel + ".in.camber"));
            figures.put("caster." + name(wheel), used * writing.angle(difference) - pitch());
            figures.put(
                    "camber." + name(wheel),
                    Math.toRadians(
                                    procedure.equals("sweep90")
                                            ? is(PaperSlip.NINETY_AS_CAMBER)
                                                    ? Math.abs(at(r, wheel + ".ahead.camber"))
                                                    : leans(at(r, wheel + ".ahead.camber"))
                                            : at(r, wheel + ".ahead.camber"))
                            + side(wheel) * roll());
        }
    }

    // ---- the rest

    /** Returns what a front flag shows, rad: of degrees, or of millimetres over its half metre. */
    private double flag(double shown) {
        return procedure.equals("flags") ? Math.toRadians(shown) : writing.angle(Math.asin(shown / 500));
    }

    private void others(Map<String, Double> r, Map<String, Double> figures) {
        switch (procedure) {
            case "flags", "flagsMillimetres" -> {
                double total = flag(at(r, "fl.flag")) + flag(at(r, "fr.flag"));
                double difference = writing.angle(Math.atan((at(r, "rl.flag") - at(r, "rr.flag")) / known.wheelbase()));
                figures.put("toe.front.left", (total + difference) / 2);
                figures.put("toe.front.right", (total - difference) / 2);
            }
            case "wheelHeads" ->
                WHEELS.forEach(wheel -> {
                    figures.put("toe." + name(wheel), Math.toRadians(at(r, wheel + ".headToe")));
                    figures.put("camber." + name(wheel), Math.toRadians(at(r, wheel + ".headCamber")));
                });
            case "protractor" ->
                List.of("fl", "fr").forEach(wheel -> {
                    int way = is(PaperSlip.FRAME_WRONG_WAY) ? -1 : 1;
                    double knuckle = at(r, wheel + ".knuckle");
                    figures.put("caster." + name(wheel), Math.toRadians(knuckle - way * at(r, wheel + ".frame")));
                    figures.put("kingpinTwist." + name(wheel), Math.toRadians(knuckle - at(r, wheel + ".pad")));
                });
            case "protractorKpi" ->
                List.of("fl", "fr")
                        .forEach(wheel -> figures.put(
                                "kpi." + name(wheel),
                                Math.toRadians(at(r, wheel + ".across") - side(wheel) * at(r, wheel + ".cross"))));
            case "setback" -> figures.put("setback.front", at(r, "fl.wheelbase") - at(r, "fr.wheelbase"));
            case "runOut" ->
                WHEELS.forEach(wheel -> {
                    double one = at(r, wheel + ".quarter1") - at(r, wheel + ".quarter3");
                    double other = at(r, wheel + ".quarter2") - at(r, wheel + ".quarter4");
                    figures.put("runOut." + name(wheel), Math.toRadians(Math.hypot(one, other)));
                });
            case "turnOut" -> {
                figures.put("turnOut.front.leftLock", Math.toRadians(at(r, "fl.plateInner") - at(r, "fr.plateOuter")));
                figures.put("turnOut.front.rightLock", Math.toRadians(at(r, "fr.plateInner") - at(r, "fl.plateOuter")));
            }
            default ->
                WHEELS.forEach(wheel -> figures.put(
                        "sideslip." + name(wheel), (at(r, wheel + ".slipForward") - at(r, wheel + ".slipBack")) / 2));
        }
    }
}
