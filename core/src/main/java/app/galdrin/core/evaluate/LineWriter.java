package app.galdrin.core.evaluate;

import app.galdrin.core.record.JsonObject;
import java.util.Optional;
import tools.jackson.core.JsonGenerator;

/** Answers lines of JSON, an object each; called from several threads. */
public interface LineWriter {

    /**
     * Writes the answer to one line, an object.
     *
     * @param line empty where the line is no JSON object
     * @return whether it could be answered without a fault
     */
    boolean write(JsonGenerator json, Optional<JsonObject> line);
}
