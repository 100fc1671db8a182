package app.galdrin.core.task;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Objects;
import java.util.stream.Collectors;

/** The published schema of task documents: a frame, and a definition of each kind of step. */
public final class TaskSchema {

    private static final String TEXT = composed();

    private TaskSchema() {}

    /** Returns the schema as JSON. */
    public static String text() {
        return TEXT;
    }

    private static String composed() {
        String references = StepKinds.all().stream()
                .map(kind -> "{\"$ref\": \"#/$defs/" + kind.key() + "\"}")
                .collect(Collectors.joining(", "));
        String definitions = StepKinds.all().stream()
                .map(kind -> '"' + kind.key() + "\": " + kind.schema().strip() + ",\n")
                .collect(Collectors.joining());
        return frame().replace("\"oneOf\": []", "\"oneOf\": [" + references + "]")
                .replace("\"$defs\": {", "\"$defs\": {\n" + definitions);
    }

    private static String frame() {
        try (InputStream text = TaskSchema.class.getResourceAsStream("task.schema.json")) {
            return new String(Objects.requireNonNull(text).readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
