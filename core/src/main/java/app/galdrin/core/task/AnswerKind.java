package app.galdrin.core.task;

import app.galdrin.core.Keyed;
import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.record.JsonObject;
import java.util.List;
import java.util.Set;
import tools.jackson.core.JsonGenerator;

/** Kind of answer that a task can ask for in its own words: a tick, or something to write. */
public enum AnswerKind implements Keyed {
    TICK("tick") {
        @Override
        AnswerType members(JsonObject json, TaskFaults faults) {
            faults.only(json, Set.of(KIND));
            return usual();
        }

        @Override
        public AnswerType usual() {
            return new AnswerType.Tick();
        }
    },
    NUMBER("number") {
        @Override
        AnswerType members(JsonObject json, TaskFaults faults) {
            faults.only(json, Set.of(KIND, UNIT, LEAST, MOST));
            Unit unit = faults.word(json, UNIT, UNITS.toArray(Unit[]::new), Unit.MM);
            double least = faults.between(json, LEAST, -GREATEST, GREATEST).orElse(0);
            return number(
                    unit, least, faults.between(json, MOST, least, GREATEST).orElse(GREATEST));
        }

        @Override
        public AnswerType usual() {
            return number(Unit.MM, 0, 1000);
        }
    },
    CHOICE("choice") {
        @Override
        AnswerType members(JsonObject json, TaskFaults faults) {
            faults.only(json, Set.of(KIND, OPTIONS));
            return choice(faults.texts(json, OPTIONS, MOST_OPTIONS, AnswerType.LONGEST));
        }

        @Override
        public AnswerType usual() {
            return choice(List.of("yes", "no"));
        }
    },
    TEXT("text") {
        @Override
        AnswerType members(JsonObject json, TaskFaults faults) {
            faults.only(json, Set.of(KIND));
            return usual();
        }

        @Override
        public AnswerType usual() {
            return new AnswerType.ShortText(Reason.LONGEST_ANSWER);
        }
    };

    /** Units that a number can be asked in. */
    public static final List<Unit> UNITS =
            List.of(Unit.MM, Unit.DEG, Unit.TURNS, Unit.TIMES, Unit.NEWTON_METRE, Unit.BAR, Unit.PSI, Unit.KILOPASCAL);

    /** Greatest number that can be asked for, in its unit, either way. */
    public static final double GREATEST = 100_000;

    public static final int MOST_OPTIONS = 8;

    private static final String KIND = "kind";
    private static final String UNIT = "unit";
    private static final String LEAST = "least";
    private static final String MOST = "most";
    private static final String OPTIONS = "options";

    private final String key;

    AnswerKind(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }

    abstract AnswerType members(JsonObject json, TaskFaults faults);

    /** Returns what it asks for where nothing more is said. */
    public abstract AnswerType usual();

    /** Returns which of them an answer is. */
    public static AnswerKind of(AnswerType asks) {
        if (asks instanceof AnswerType.Amount) {
            return NUMBER;
        }
        if (asks instanceof AnswerType.Choice) {
            return CHOICE;
        }
        return asks instanceof AnswerType.ShortText ? TEXT : TICK;
    }

    /**
     * Returns a number in a unit.
     *
     * @param least smallest that can be right, in the unit
     * @param most greatest that can be right, in the unit
     */
    public static AnswerType.Amount number(Unit unit, double least, double most) {
        return new AnswerType.Amount(unit.quantity(), unit, least * unit.factor(), most * unit.factor());
    }

    /** Returns the smallest number that can be right, in the unit that is asked. */
    public static double least(AnswerType.Amount number) {
        return inUnit(number, number.least());
    }

    /** Returns the greatest number that can be right, in the unit that is asked. */
    public static double most(AnswerType.Amount number) {
        return inUnit(number, number.most());
    }

    /** Returns a number of documents in the unit that is asked, to the places that can be typed. */
    private static double inUnit(AnswerType.Amount number, double documented) {
        return QuantityFormat.rounded(documented / number.defaultUnit().factor(), 4);
    }

    /** Returns one of several texts. */
    public static AnswerType.Choice choice(List<String> options) {
        return new AnswerType.Choice("own", options);
    }

    /** Returns an answer that can stand there: the middle of a range, the first of several. */
    public static String example(AnswerType asks) {
        if (asks instanceof AnswerType.Amount number) {
            return QuantityFormat.decimal((least(number) + most(number)) / 2, 2, false);
        }
        if (asks instanceof AnswerType.VehicleNumber) {
            return "XX9AB12C0DE345678";
        }
        return asks instanceof AnswerType.Choice choice ? choice.options().get(0) : AnswerType.Tick.DONE;
    }

    /** Writes what is asked for as the member {@code asks}. */
    public static void write(JsonGenerator json, AnswerType asks) {
        json.writeObjectPropertyStart("asks");
        json.writeStringProperty(KIND, of(asks).key());
        if (asks instanceof AnswerType.Amount number) {
            json.writeStringProperty(UNIT, number.defaultUnit().key());
            json.writeNumberProperty(LEAST, least(number));
            json.writeNumberProperty(MOST, most(number));
        }
        if (asks instanceof AnswerType.Choice choice) {
            json.writeArrayPropertyStart(OPTIONS);
            choice.options().forEach(json::writeString);
            json.writeEndArray();
        }
        json.writeEndObject();
    }

    /** Reads what is asked for; a tick where it does not say. */
    public static AnswerType read(JsonObject item, TaskFaults faults) {
        if (!item.has("asks")) {
            return TICK.usual();
        }
        JsonObject asks = faults.object(item, "asks");
        return faults.word(asks, KIND, values(), TICK).members(asks, faults);
    }
}
