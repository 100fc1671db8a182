package app.galdrin.core.record;

import app.galdrin.core.Fault;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * An {@link Input} that is filled in field by field, for anyone who has its values by their paths and not on a line. They are checked as
 * those of a line are; the fault does not say which of several is wrong.
 */
public final class InputForm {

    private static final int NO_LIST = -1;

    private final Shape shape;

    /** Values in the order of the shape's fields; of a group its values likewise, of a list those of every element. */
    private final @Nullable Object[] values;

    private boolean legal = true;

    public InputForm(Shape shape) {
        this.shape = shape;
        this.values = shape.blank();
    }

    /** The position of a field on a form, from its dotted path; the elements of a list are counted from 0. */
    public static final class Blank {
        private final Field field;
        private final int index;
        private final int element;
        private final @Nullable Blank inside;

        private Blank(Field field, int index, int element, @Nullable Blank inside) {
            this.field = field;
            this.index = index;
            this.element = element;
            this.inside = inside;
        }

        /**
         * Returns the field at a path that must be the shape's.
         *
         * @throws IllegalStateException if it is none
         */
        public static Blank of(Shape shape, String path) {
            int dot = path.indexOf('.');
            String head = dot < 0 ? path : path.substring(0, dot);
            Field field = shape.field(head).orElseThrow(() -> new IllegalStateException("no field " + head));
            int index = shape.indexOf(field);
            if (dot < 0) {
                return new Blank(field, index, NO_LIST, null);
            }
            String rest = path.substring(dot + 1);
            if (field instanceof ListField list) {
                int next = rest.indexOf('.');
                int element = Integer.parseInt(rest.substring(0, next));
                return new Blank(field, index, element, of(list.element(), rest.substring(next + 1)));
            }
            return new Blank(field, index, NO_LIST, of(((GroupField) field).shape(), rest));
        }
    }

    /** Fills in a value as {@link JsonLines} reads it. */
    public InputForm put(Blank blank, Object value) {
        @Nullable Object[] at = values;
        Blank last = blank;
        for (Blank inside = last.inside; inside != null; inside = last.inside) {
            at = last.element == NO_LIST ? group(at, last) : element(at, last);
            last = inside;
        }
        Object checked = last.field.legal(value);
        legal &= !(checked instanceof Fault);
        at[last.index] = checked;
        return this;
    }

    private static @Nullable Object[] group(@Nullable Object[] around, Blank blank) {
        if (around[blank.index] instanceof Object[] there) {
            return there;
        }
        @Nullable Object[] made = ((GroupField) blank.field).shape().blank();
        around[blank.index] = made;
        return made;
    }

    @SuppressWarnings("unchecked") // lists of a form are made here
    private static @Nullable Object[] element(@Nullable Object[] around, Blank blank) {
        var elements = (List<@Nullable Object[]>) around[blank.index];
        if (elements == null) {
            elements = new ArrayList<>();
            around[blank.index] = elements;
        }
        while (elements.size() <= blank.element) {
            elements.add(((ListField) blank.field).element().blank());
        }
        return elements.get(blank.element);
    }

    /** Returns what was filled in; empty where a value is not legal, or a field that must be there is not. Asked for once. */
    public Optional<Input> input() {
        return legal ? Optional.ofNullable(input(shape, values)) : Optional.empty();
    }

    private static @Nullable Input input(Shape shape, @Nullable Object[] values) {
        for (int i = 0; i < values.length; i++) {
            Field field = shape.at(i);
            Object value = values[i];
            if (value == null) {
                if (field.required()) {
                    return null;
                }
            } else if (value instanceof Object[] inside) {
                values[i] = input(((GroupField) field).shape(), inside);
                if (values[i] == null) {
                    return null;
                }
            } else if (field instanceof ListField list && !elements(list, (List<?>) value, values, i)) {
                return null;
            }
        }
        return new Input(shape, values);
    }

    private static boolean elements(ListField list, List<?> filled, @Nullable Object[] values, int index) {
        List<Input> elements = new ArrayList<>(filled.size());
        for (Object one : filled) {
            Input element = input(list.element(), (@Nullable Object[]) one);
            if (element == null) {
                return false;
            }
            elements.add(element);
        }
        values[index] = elements;
        return true;
    }
}
