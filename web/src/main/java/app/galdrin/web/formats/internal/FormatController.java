package app.galdrin.web.formats.internal;

import app.galdrin.core.marking.written.MarksWriter;
import app.galdrin.core.pack.TaskPack;
import app.galdrin.core.record.JsonSchema;
import app.galdrin.core.record.RecordKinds;
import app.galdrin.core.spec.written.SheetDocument;
import app.galdrin.core.task.TaskSchema;
import java.io.StringWriter;
import java.time.Duration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.json.JsonFactory;

/** Publishes the schemas; open to everyone. */
@Controller
class FormatController {

    private static final MediaType SCHEMA = MediaType.valueOf("application/schema+json");

    private final String measurementRecords = measurementRecords();

    private static String measurementRecords() {
        var text = new StringWriter();
        try (JsonGenerator json = new JsonFactory().createGenerator(ObjectWriteContext.empty(), text)) {
            JsonSchema.write(json, RecordKinds.all());
        }
        return text.toString();
    }

    @GetMapping("/formats/measurement-record.schema.json")
    ResponseEntity<String> measurementRecordSchema() {
        return schema(measurementRecords);
    }

    @GetMapping("/formats/task.schema.json")
    ResponseEntity<String> taskSchema() {
        return schema(TaskSchema.text());
    }

    @GetMapping("/formats/sheet.schema.json")
    ResponseEntity<Resource> sheetSchema() {
        return schema("sheet.schema.json", SheetDocument.class);
    }

    @GetMapping("/formats/pack.schema.json")
    ResponseEntity<Resource> packSchema() {
        return schema("pack.schema.json", TaskPack.class);
    }

    @GetMapping("/formats/{of:sitting|marks}.schema.json")
    ResponseEntity<Resource> markingSchema(@PathVariable String document) {
        return schema(document + ".schema.json", MarksWriter.class);
    }

    private static ResponseEntity<Resource> schema(String name, Class<?> beside) {
        return schema(new ClassPathResource(name, beside));
    }

    private static <T> ResponseEntity<T> schema(T text) {
        return ResponseEntity.ok()
                .contentType(SCHEMA)
                .cacheControl(CacheControl.maxAge(Duration.ofHours(1)).cachePublic())
                .body(text);
    }
}
