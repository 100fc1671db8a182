package app.galdrin.core.procedure;

import app.galdrin.core.Outcome;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Contract;
import app.galdrin.core.record.Field;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.record.GroupField;
import app.galdrin.core.record.Input;
import app.galdrin.core.record.InputForm;
import app.galdrin.core.record.ListField;
import app.galdrin.core.record.NumberField;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.RecordKinds;
import app.galdrin.core.record.Shape;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Plan of an evaluation, compiled once for all its runs: the positions of its fields and figures, and their units. */
final class EvaluationPlan {

    private static final String U = "u";

    private final RecordKind kind;

    /** The fields of the reading classes' standard uncertainties; none if the kind has no uncertainty. */
    private final List<InputForm.Blank> doubts;

    private final List<InputField> fields;
    private final Map<String, InputField> byPath = new LinkedHashMap<>();
    private final List<ResultField> figures;
    private final Map<String, FieldPath> notes = new LinkedHashMap<>();

    /**
     * A field of the input.
     *
     * @param index its place among the fields, 0 and up
     * @param blank where it stands in the input
     * @param inCore one unit of it, mm or rad; not a number where it is none
     */
    record InputField(int index, InputForm.Blank blank, Source source, double inCore) {}

    /** A figure of the result, and its unit there. */
    record ResultField(String path, FieldPath at, FigureId figure, FieldUnit unit) {}

    EvaluationPlan(String kind, Map<String, Source> fields, Map<String, FigureId> figures, List<String> notes) {
        this.kind = RecordKinds.named(kind).orElseThrow(() -> new IllegalStateException("no record kind " + kind));
        Shape input = this.kind.contract().input();
        this.doubts = doubts(this.kind.contract());
        Shape result = this.kind.contract().result();
        fields.forEach((path, source) -> byPath.put(path, filled(input, path, source)));
        this.fields = List.copyOf(byPath.values());
        this.figures = figures.entrySet().stream()
                .map(e -> told(result, e.getKey(), e.getValue()))
                .toList();
        notes.forEach(path -> this.notes.put(path, FieldPath.of(path)));
    }

    private InputField filled(Shape input, String path, Source source) {
        double inCore =
                unitOf(input, path).map(unit -> read(unit, source).toCore(1)).orElse(Double.NaN);
        return new InputField(byPath.size(), InputForm.Blank.of(input, path), source, inCore);
    }

    private static ResultField told(Shape result, String path, FigureId figure) {
        FieldUnit unit = unitOf(result, path).orElseThrow(() -> new IllegalStateException(path + " is no number"));
        return new ResultField(path, FieldPath.of(path), figure, unit);
    }

    List<InputField> fields() {
        return fields;
    }

    /** The field at a path; empty where nothing is filled in there. */
    Optional<InputField> field(String path) {
        return Optional.ofNullable(byPath.get(path));
    }

    List<ResultField> figures() {
        return figures;
    }

    /** Returns the results that are shown beside the figures, by their path. */
    Map<String, FieldPath> notes() {
        return notes;
    }

    /** Works an input; empty where it can't be worked. */
    Optional<Answer> work(Input input) {
        return kind.evaluate(input) instanceof Outcome.Value<Answer> answer
                ? Optional.of(answer.value())
                : Optional.empty();
    }

    /** Returns an empty form of the input. */
    InputForm form() {
        return new InputForm(kind.contract().input());
    }

    /** Fills in one unit of doubt for every reading class, so that the parts of the answer are its slopes. */
    void askForSlopes(InputForm form) {
        for (InputForm.Blank u : doubts) {
            form.put(u, 1.0);
        }
    }

    private static List<InputForm.Blank> doubts(Contract contract) {
        List<Field> fields = contract.input().fields();
        return contract.hasU() && fields.get(fields.size() - 1) instanceof GroupField classes
                ? classes.shape().fields().stream()
                        .map(u -> InputForm.Blank.of(contract.input(), U + "." + u.name()))
                        .toList()
                : List.of();
    }

    /** A bare number, which a word beside it gives its unit, is of what is read. */
    private static FieldUnit read(FieldUnit unit, Source source) {
        return unit == FieldUnit.NUMBER
                ? source.places().stream()
                        .findFirst()
                        .map(p -> FieldUnit.of(p.amount().quantity()))
                        .orElse(unit)
                : unit;
    }

    /** The unit of the number at a path; list elements are counted from 0; empty where there is no number. */
    private static Optional<FieldUnit> unitOf(Shape shape, String path) {
        int dot = path.indexOf('.');
        String head = dot < 0 ? path : path.substring(0, dot);
        Field field = shape.field(head).orElseThrow(() -> new IllegalStateException("no field " + head));
        if (field instanceof NumberField number) {
            return Optional.of(number.unit());
        }
        String rest = path.substring(dot + 1);
        if (field instanceof GroupField group) {
            return unitOf(group.shape(), rest);
        }
        return field instanceof ListField list
                ? unitOf(list.element(), rest.substring(rest.indexOf('.') + 1))
                : Optional.empty();
    }
}
