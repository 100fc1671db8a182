package app.galdrin.web.task.internal;

import app.galdrin.core.measure.ToeMethod;
import app.galdrin.core.measure.ToeMethods;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.QuantityParser;
import app.galdrin.core.quantity.QuantityText;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.task.AnswerUnit;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.MarkingScheme;
import app.galdrin.core.task.ToeAsked;
import app.galdrin.core.task.ToeTask;
import app.galdrin.web.account.ClassGroup;
import app.galdrin.web.layout.Keys;
import app.galdrin.web.layout.Said;
import app.galdrin.web.layout.Words;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.task.Mode;
import app.galdrin.web.task.OutcomeSchool;
import app.galdrin.web.task.TaskDraft;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * The task bench's form: every field as typed, what it means, and what is wrong with it. All faults are found in one go; a
 * field left empty takes the method's default.
 */
final class BenchForm {

    private static final int MOST_REPEATS = 5;
    private static final int MOST_MARKS = 100;
    private static final int LONGEST_TITLE = 120;

    private final Map<String, String> typed;
    private final Map<String, Said> faults = new LinkedHashMap<>();

    final SheetVersion sheet;
    final ClassGroup classGroup;
    final ToeAsked asked;
    final ToeMethod method;
    final int repeats;
    final AnswerUnit answerUnit;
    final DecisionRule rule;
    final Mode mode;
    final OutcomeSchool outcome;
    /** What the method gives by itself, before anything is changed. */
    final MarkingScheme defaults;

    /** {@code sheets} and {@code classes} hold one at least. */
    BenchForm(Map<String, String> typed, List<SheetVersion> sheets, List<ClassGroup> classes) {
        this.typed = typed;
        this.sheet = chosen(sheets, s -> s.id().toString(), "sheet");
        this.classGroup = chosen(classes, c -> c.id().toString(), "class");
        this.asked = key("asked", ToeAsked.values(), ToeAsked::key, ToeAsked.TOTAL_AND_EACH);
        this.method =
                key("method", ToeMethods.all().toArray(ToeMethod[]::new), ToeMethod::key, ToeMethods.seeingMost());
        this.repeats = whole("repeats", 1, MOST_REPEATS, 2);
        this.answerUnit = key("unit", AnswerUnit.values(), AnswerUnit::key, AnswerUnit.DEGREES_MINUTES);
        this.rule = key("rule", DecisionRule.values(), DecisionRule::key, DecisionRule.SIMPLE);
        this.mode = key("mode", Mode.values(), Mode::key, Mode.ASSESSMENT);
        this.outcome = key("outcome", OutcomeSchool.values(), OutcomeSchool::key, OutcomeSchool.COMPETENCE);
        this.defaults = MarkingScheme.defaults(method, sheet.sheet().geometry(), repeats);
        if (!asked.answeredBy(method)) {
            faults.put("method", Said.of("method." + method.key() + ".blind"));
        }
        if (text("title").length() > LONGEST_TITLE) {
            faults.put("title", Said.of("bench.title.long", LONGEST_TITLE));
        }
    }

    String text(String field) {
        return typed.getOrDefault(field, "").strip();
    }

    Map<String, Said> faults() {
        return faults;
    }

    /** The task, if nothing is wrong with the form. */
    Optional<TaskDraft> draft(String defaultTitle) {
        MarkingScheme scheme = scheme();
        if (!faults.isEmpty()) {
            return Optional.empty();
        }
        var toe = new ToeTask(sheet.sheet(), asked, method, repeats, answerUnit, rule, ToeTask.PREPARATION, scheme);
        String title = text("title").isEmpty() ? defaultTitle : text("title");
        return Optional.of(new TaskDraft(title, sheet.id(), classGroup.id(), toe, mode, outcome));
    }

    private MarkingScheme scheme() {
        Map<Criterion, Integer> marks = new EnumMap<>(Criterion.class);
        Set<Criterion> mustPass = EnumSet.noneOf(Criterion.class);
        boolean sent = typed.containsKey("scheme");
        for (Criterion criterion : Criterion.values()) {
            marks.put(criterion, marks(criterion));
            boolean must = sent
                    ? typed.containsKey("must." + criterion.key())
                    : defaults.mustPass().contains(criterion);
            if (must) {
                mustPass.add(criterion);
            }
        }
        if (marks.values().stream().mapToInt(m -> m).sum() == 0) {
            faults.put("marks", Said.of("bench.noMarks"));
        }
        return new MarkingScheme(
                marks,
                mustPass,
                band("band.reading", defaults.reading()),
                band("band.repeatability", defaults.repeatability()),
                whole("slipKeeps", 0, 100, 0));
    }

    int marks(Criterion criterion) {
        return whole("marks." + criterion.key(), 0, MOST_MARKS, defaults.marksFor(criterion));
    }

    boolean mustPass(Criterion criterion) {
        return typed.containsKey("scheme")
                ? typed.containsKey("must." + criterion.key())
                : defaults.mustPass().contains(criterion);
    }

    /** The full band as typed; empty takes the default. */
    private Band band(String field, Band otherwise) {
        String text = text(field);
        if (text.isEmpty()) {
            return otherwise;
        }
        var read = QuantityParser.parse(text, Quantity.ANGLE, Unit.DEG);
        if (read instanceof QuantityText.Read r && r.value() > 0 && r.value() <= 5) {
            return Band.from(Math.toRadians(r.value()));
        }
        faults.put(field, Said.of("bench.band", Words.quote(text)));
        return otherwise;
    }

    private int whole(String field, int least, int most, int otherwise) {
        String text = text(field);
        if (text.isEmpty()) {
            return otherwise;
        }
        if (text.matches("[0-9]{1,3}")) {
            int number = Integer.parseInt(text);
            if (number >= least && number <= most) {
                return number;
            }
        }
        faults.put(field, Said.of("bench.whole", Words.quote(text), least, most));
        return otherwise;
    }

    private <T> T key(String field, T[] values, Function<T, String> key, T otherwise) {
        String text = text(field);
        if (text.isEmpty()) {
            return otherwise;
        }
        return Keys.find(values, key, text).orElseGet(() -> {
            faults.put(field, Said.of("bench.unknown", Words.quote(text)));
            return otherwise;
        });
    }

    private <T> T chosen(List<T> all, Function<T, String> id, String field) {
        String text = text(field);
        return all.stream()
                .filter(one -> id.apply(one).equals(text))
                .findFirst()
                .orElseGet(() -> {
                    if (!text.isEmpty()) {
                        faults.put(field, Said.of("bench.unknown", Words.quote(text)));
                    }
                    return all.get(0);
                });
    }

    /** A band's default as the field shows it, deg. */
    static String degrees(Band band) {
        return QuantityFormat.decimal(Math.toDegrees(band.full()), 3, false);
    }
}
