package app.galdrin.core.procedure;

import app.galdrin.core.record.JsonObject;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A place in an object of a record, its dotted path taken apart once; the elements of a list are counted from 0. */
final class FieldPath {

    private static final int NO_LIST = -1;

    private final String name;
    private final int index;
    private final @Nullable FieldPath rest;

    private FieldPath(String name, int index, @Nullable FieldPath rest) {
        this.name = name;
        this.index = index;
        this.rest = rest;
    }

    static FieldPath of(String path) {
        int dot = path.indexOf('.');
        if (dot < 0) {
            return new FieldPath(path, NO_LIST, null);
        }
        String head = path.substring(0, dot);
        String rest = path.substring(dot + 1);
        if (!Character.isDigit(rest.charAt(0))) {
            return new FieldPath(head, NO_LIST, of(rest));
        }
        int next = rest.indexOf('.');
        return new FieldPath(head, Integer.parseInt(rest.substring(0, next)), of(rest.substring(next + 1)));
    }

    /** Returns what stands there; null where nothing does. */
    @Nullable
    Object in(JsonObject object) {
        Object there = object.get(name);
        if (rest == null) {
            return there;
        }
        if (index != NO_LIST) {
            there = there instanceof List<?> list && index < list.size() ? list.get(index) : null;
        }
        return there instanceof JsonObject inner ? rest.in(inner) : null;
    }

    Optional<Double> numberIn(JsonObject object) {
        return in(object) instanceof Double number ? Optional.of(number) : Optional.empty();
    }
}
