package app.galdrin.core.task;

import app.galdrin.core.record.JsonObject;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/**
 * A kind of step: its name, and how documents say it. A class that says {@code @AutoService(StepKind.class)} adds one. Its editor, its markers
 * and what a simulated apprentice writes in it are registered likewise; {@code docs/adding-a-method.md} lists all that a kind has.
 */
public abstract class StepKind {

    private final String key;
    private final Reader reader;

    /** Reads a step from a document; what is wrong goes to the faults and the step is made as well as it can be. */
    @FunctionalInterface
    public interface Reader {
        Step read(String id, JsonObject json, TaskFaults faults);
    }

    protected StepKind(String key, Reader reader) {
        this.key = key;
        this.reader = reader;
    }

    /** Returns its name in documents, message keys and templates: letters. */
    public final String key() {
        return key;
    }

    final Step read(String id, JsonObject json, TaskFaults faults) {
        return reader.read(id, json, faults);
    }

    /**
     * Returns the JSON schema of its steps: {@code <key>.schema.json} beside the class.
     *
     * @throws IllegalStateException where there is no such file
     */
    public final String schema() {
        String file = key() + ".schema.json";
        try (InputStream text = getClass().getResourceAsStream(file)) {
            if (text == null) {
                throw new IllegalStateException("no " + file + " beside " + getClass());
            }
            return new String(text.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
