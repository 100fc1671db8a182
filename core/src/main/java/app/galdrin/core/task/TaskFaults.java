package app.galdrin.core.task;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.record.JsonObject;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Collects everything that is wrong with a task document, and reads its members on the way. */
public final class TaskFaults {

    private final List<TaskFault> found = new ArrayList<>();
    private String at = "";

    /** All that was found, in the order of the document. */
    public List<TaskFault> found() {
        return List.copyOf(found);
    }

    /** Sets the path of what is read next. */
    void at(String path) {
        at = path;
    }

    private String path(String member) {
        return at.isEmpty() ? member : at + "." + member;
    }

    /** Adds a fault; {@code path} is where in the document. */
    public void add(String path, TaskFaultCode reason, String value) {
        found.add(new TaskFault(path, reason, value, 0));
    }

    /** Adds a fault with the limit that its sentence names. */
    public void add(String path, TaskFaultCode reason, String value, int limit) {
        found.add(new TaskFault(path, reason, value, limit));
    }

    private void member(String name, TaskFaultCode reason, @Nullable Object value) {
        add(path(name), reason, String.valueOf(value));
    }

    /** A member whose value is none of those there are. */
    public void unknown(String name, String value) {
        if (!value.isEmpty()) {
            member(name, TaskFaultCode.UNKNOWN, value);
        }
    }

    /** Names the members that do not belong there. */
    public void only(JsonObject json, Set<String> names) {
        for (int i = 0; i < json.size(); i++) {
            if (!names.contains(json.name(i))) {
                member(json.name(i), TaskFaultCode.UNKNOWN_FIELD, json.name(i));
            }
        }
    }

    /** A text of 1 to so many characters. */
    public String text(JsonObject json, String name, int longest) {
        if (!json.has(name)) {
            member(name, TaskFaultCode.MISSING, "");
            return "";
        }
        if (!(json.get(name) instanceof String text)) {
            member(name, TaskFaultCode.MALFORMED, json.get(name));
            return "";
        }
        if (text.isBlank() || text.length() > longest) {
            add(path(name), TaskFaultCode.TOO_LONG, text, longest);
        }
        return text;
    }

    /** A whole number; the default where it is left out. */
    public int whole(JsonObject json, String name, int least, int most, int otherwise) {
        if (!json.has(name)) {
            return otherwise;
        }
        if (!(json.get(name) instanceof Double number) || number != Math.rint(number)) {
            member(name, TaskFaultCode.MALFORMED, json.get(name));
            return otherwise;
        }
        if (number < least || number > most) {
            add(path(name), TaskFaultCode.OUT_OF_RANGE, String.valueOf(number.longValue()), most);
            return otherwise;
        }
        return number.intValue();
    }

    /**
     * Reads a number.
     *
     * @param least smallest number allowed, in the unit of the member
     * @param most largest number allowed, in the unit of the member
     * @return empty where it is none of them, with the fault
     */
    public OptionalDouble between(JsonObject json, String name, double least, double most) {
        if (json.get(name) instanceof Double number && number >= least && number <= most) {
            return OptionalDouble.of(number);
        }
        member(name, json.has(name) ? TaskFaultCode.OUT_OF_RANGE : TaskFaultCode.MISSING, json.get(name));
        return OptionalDouble.empty();
    }

    /** Reads yes or no; no where it is left out. */
    public boolean flag(JsonObject json, String name) {
        if (!json.has(name)) {
            return false;
        }
        if (json.get(name) instanceof Boolean flag) {
            return flag;
        }
        member(name, TaskFaultCode.MALFORMED, json.get(name));
        return false;
    }

    /** One of these words; the default where it is left out. */
    public <T extends Keyed> T word(JsonObject json, String name, T[] words, T otherwise) {
        if (!json.has(name)) {
            return otherwise;
        }
        Optional<T> known = json.get(name) instanceof String text ? Keyed.find(words, text) : Optional.empty();
        if (known.isEmpty()) {
            member(name, TaskFaultCode.UNKNOWN, json.get(name));
        }
        return known.orElse(otherwise);
    }

    /** Reads a list of at least one of these words, each once. */
    public <T extends Keyed> List<T> words(JsonObject json, String name, T[] words) {
        List<T> found = new ArrayList<>();
        for (Object element : list(json, name, words.length)) {
            Optional<T> known = element instanceof String key ? Keyed.find(words, key) : Optional.empty();
            if (known.isEmpty()) {
                member(name, TaskFaultCode.UNKNOWN, element);
            } else if (found.contains(known.get())) {
                member(name, TaskFaultCode.TWICE, element);
            } else {
                found.add(known.get());
            }
        }
        return found;
    }

    /** A list of figures by key. */
    public List<FigureId> figures(JsonObject json, String name, int most) {
        List<FigureId> figures = new ArrayList<>();
        for (Object element : list(json, name, most)) {
            Optional<FigureId> figure = element instanceof String key ? FigureId.parse(key) : Optional.empty();
            if (figure.isEmpty()) {
                member(name, TaskFaultCode.UNKNOWN, element);
            } else if (figures.contains(figure.get())) {
                member(name, TaskFaultCode.TWICE, element);
            } else {
                figures.add(figure.get());
            }
        }
        if (figures.isEmpty()) {
            member(name, TaskFaultCode.MISSING, "");
        }
        return figures;
    }

    /** A list of at least one text, each of 1 to so many characters. */
    public List<String> texts(JsonObject json, String name, int most, int longest) {
        List<String> texts = new ArrayList<>();
        for (Object element : list(json, name, most)) {
            if (!(element instanceof String text)) {
                member(name, TaskFaultCode.MALFORMED, element);
            } else if (text.isBlank() || text.length() > longest) {
                add(path(name), TaskFaultCode.TOO_LONG, text, longest);
            } else {
                texts.add(text);
            }
        }
        if (texts.isEmpty() && json.get(name) instanceof List<?> none && none.isEmpty()) {
            member(name, TaskFaultCode.MISSING, "");
        }
        return texts;
    }

    /** An object within; empty where it is none, with the fault. */
    public JsonObject object(JsonObject json, String name) {
        if (json.get(name) instanceof JsonObject object) {
            return object;
        }
        member(name, TaskFaultCode.MALFORMED, json.get(name));
        return new JsonObject();
    }

    /** A list of objects. */
    public List<JsonObject> objects(JsonObject json, String name, int most) {
        List<JsonObject> objects = new ArrayList<>();
        for (Object element : list(json, name, most)) {
            if (element instanceof JsonObject object) {
                objects.add(object);
            } else {
                member(name, TaskFaultCode.MALFORMED, element);
            }
        }
        return objects;
    }

    private List<?> list(JsonObject json, String name, int most) {
        if (!(json.get(name) instanceof List<?> list)) {
            member(name, json.has(name) ? TaskFaultCode.MALFORMED : TaskFaultCode.MISSING, "");
            return List.of();
        }
        if (list.size() > most) {
            add(path(name), TaskFaultCode.TOO_MANY, String.valueOf(list.size()), most);
            return list.subList(0, most);
        }
        return list;
    }
}
