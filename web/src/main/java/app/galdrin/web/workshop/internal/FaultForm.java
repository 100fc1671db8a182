package app.galdrin.web.workshop.internal;

import app.galdrin.core.Keyed;
import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.answer.Sense;
import app.galdrin.core.fault.FaultPlan.Difficulty;
import app.galdrin.core.fault.RoadLimits;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.Unit;
import app.galdrin.web.words.LineTextWords;
import app.galdrin.web.words.Sentence;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A fault as it is typed: the size and sense of each figure that is wanted, and how far the vehicle may be set and still leave its bay. Its
 * parameters stand in the address, so that a page can be loaded again and come back to.
 *
 * @param typed parameters of the request by name: {@code size.FIGURE}, {@code sense.FIGURE}, {@code toe}, {@code camber}, {@code difficulty},
 *     {@code seed}, {@code slip}
 */
record FaultForm(Map<String, String> typed) {

    private static final String SIZE = "size.";
    private static final String SENSE = "sense.";

    /** Greatest angle that anyone types here, deg. */
    private static final double GREATEST = 20;

    private static final int LONGEST_SEED = 9;

    /** The two ways of a figure, the positive one first; empty of a figure that nobody asks for here. */
    static List<Sense> senses(FigureId figure) {
        return switch (figure.measurand()) {
            case TOE -> List.of(Sense.TOE_IN, Sense.TOE_OUT);
            case CAMBER -> List.of(Sense.TOP_OUT, Sense.TOP_IN);
            case CASTER -> List.of(Sense.LEANS_BACK, Sense.LEANS_FORWARD);
            default -> List.of();
        };
    }

    /** The same with the size of a figure as it is printed, and its sense. */
    FaultForm with(FigureId figure, String size, double value) {
        Map<String, String> next = new LinkedHashMap<>(typed);
        next.put(SIZE + figure.key(), size);
        next.put(SENSE + figure.key(), senses(figure).get(value < 0 ? 1 : 0).key());
        return new FaultForm(next);
    }

    /** The same with another number of the draw. */
    FaultForm numbered(long seed) {
        Map<String, String> next = new LinkedHashMap<>(typed);
        next.put("seed", Long.toString(seed));
        return new FaultForm(next);
    }

    /** The same without any figure. */
    FaultForm withoutFigures() {
        Map<String, String> next = new LinkedHashMap<>(typed);
        next.keySet().removeIf(name -> name.startsWith(SIZE) || name.startsWith(SENSE));
        return new FaultForm(next);
    }

    /** Returns the figures and limits as the parameters of an address. */
    public String query() {
        return typed.entrySet().stream()
                .filter(f -> f.getKey().startsWith(SIZE)
                        || f.getKey().startsWith(SENSE)
                        || f.getKey().equals("toe")
                        || f.getKey().equals("camber"))
                .map(f -> encoded(f.getKey()) + "=" + encoded(f.getValue()))
                .collect(Collectors.joining("&"));
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    public String size(FigureId figure) {
        return typed.getOrDefault(SIZE + figure.key(), "").strip();
    }

    public String sense(FigureId figure) {
        return typed.getOrDefault(SENSE + figure.key(), "");
    }

    public String toe() {
        return limit("toe", RoadLimits.USUAL.toe());
    }

    public String camber() {
        return limit("camber", RoadLimits.USUAL.camber());
    }

    private String limit(String name, double usual) {
        return typed.getOrDefault(name, QuantityFormat.decimal(Math.toDegrees(usual), 1, false));
    }

    public Difficulty difficulty() {
        return Keyed.find(Difficulty.values(), typed.getOrDefault("difficulty", ""))
                .orElse(Difficulty.USUAL);
    }

    /** The slip that a drawn fault should show, as {@code STEP/SLIP}; empty where any fault will do. */
    public String slip() {
        return typed.getOrDefault("slip", "");
    }

    /** The number from which faults are drawn; 1 where none was given. */
    public long seed() {
        String number = typed.getOrDefault("seed", "").strip();
        return number.matches("[0-9]{1," + LONGEST_SEED + "}") ? Long.parseLong(number) : 1;
    }

    /** Returns the text that is wrong, by the name of its field. */
    Map<String, Sentence> faults(List<FigureId> figures) {
        Map<String, Sentence> faults = new LinkedHashMap<>();
        for (FigureId figure : figures) {
            if (!size(figure).isEmpty()) {
                why(size(figure)).ifPresent(fault -> faults.put(figure.key(), fault));
            }
        }
        why(toe()).ifPresent(fault -> faults.put("toe", fault));
        why(camber()).ifPresent(fault -> faults.put("camber", fault));
        return faults;
    }

    private static LineText read(String text) {
        return LineText.read(text, new Amount(Quantity.ANGLE, Unit.DEG, 0, GREATEST));
    }

    private static Optional<Sentence> why(String text) {
        return read(text) instanceof LineText.Refusal refused
                ? Optional.of(LineTextWords.why(refused))
                : Optional.empty();
    }

    /** The size of a text, rad; of a text without a fault. */
    private static double radians(String text) {
        double degrees = ((LineText.ParsedText) read(text)).value().orElseThrow();
        return Quantity.ANGLE.toCore(degrees);
    }

    /** Returns what is wanted, rad, of a form without faults. */
    Map<FigureId, Double> wanted(List<FigureId> figures) {
        Map<FigureId, Double> wanted = new LinkedHashMap<>();
        for (FigureId figure : figures) {
            if (!size(figure).isEmpty()) {
                Sense sense = Keyed.find(senses(figure).toArray(Sense[]::new), sense(figure))
                        .orElse(senses(figure).get(0));
                wanted.put(figure, sense.sign(Side.LEFT) * radians(size(figure)));
            }
        }
        return wanted;
    }

    RoadLimits road() {
        return new RoadLimits(radians(toe()), radians(camber()));
    }

    /** Returns whether a figure can be asked for. */
    static boolean isAsked(FigureId figure) {
        return !senses(figure).isEmpty();
    }
}
