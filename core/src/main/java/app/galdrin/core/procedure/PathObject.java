package app.galdrin.core.procedure;

import app.galdrin.core.record.JsonObject;
import java.util.ArrayList;
import java.util.List;

/** An object of a record filled by dotted paths; the elements of a list are counted from 0 and come in order. */
final class PathObject {

    private final JsonObject json = new JsonObject();

    JsonObject json() {
        return json;
    }

    void put(String path, Object value) {
        put(json, path, value);
    }

    private static void put(JsonObject object, String path, Object value) {
        int dot = path.indexOf('.');
        if (dot < 0) {
            object.add(path, value);
            return;
        }
        String head = path.substring(0, dot);
        String rest = path.substring(dot + 1);
        if (Character.isDigit(rest.charAt(0))) {
            int next = rest.indexOf('.');
            put(element(object, head, Integer.parseInt(rest.substring(0, next))), rest.substring(next + 1), value);
        } else {
            put(inner(object, head), rest, value);
        }
    }

    private static JsonObject inner(JsonObject object, String name) {
        if (object.get(name) instanceof JsonObject there) {
            return there;
        }
        var made = new JsonObject();
        object.add(name, made);
        return made;
    }

    @SuppressWarnings("unchecked") // lists of this object are made here
    private static JsonObject element(JsonObject object, String name, int index) {
        List<JsonObject> list = (List<JsonObject>) object.get(name);
        if (list == null) {
            list = new ArrayList<>();
            object.add(name, list);
        }
        while (list.size() <= index) {
            list.add(new JsonObject());
        }
        return list.get(index);
    }
}
