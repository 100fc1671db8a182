package app.galdrin.web.classes.internal;

import app.galdrin.core.quantity.SpreadsheetText;
import app.galdrin.core.task.Grade;
import app.galdrin.web.account.ClassGroup;
import app.galdrin.web.account.Classes;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.Words;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Results as CSV: of one task for who marks it, and what was released to a class for its file. */
@Controller
class ResultsController {

    private static final int MOST_PEOPLE = 400;
    private static final int MOST_RESULTS = 20_000;

    private final MatrixMapper mapper;
    private final Tasks tasks;
    private final Classes classes;
    private final Words words;

    ResultsController(MatrixMapper mapper, Tasks tasks, Classes classes, Words words) {
        this.mapper = mapper;
        this.tasks = tasks;
        this.classes = classes;
        this.words = words;
    }

    /** One line a person, also of what is not released or not signed yet. */
    @GetMapping("/marking/class/{taskId}/results.csv")
    ResponseEntity<String> ofTask(@AuthenticationPrincipal SignedIn me, @PathVariable UUID taskId) throws IOException {
        TaskVersion task = tasks.task(me.centreId(), taskId);
        var text = new StringBuilder();
        try (var csv = new CSVPrinter(text, CSVFormat.RFC4180)) {
            csv.printRecord(
                    words.text("person.displayName"),
                    words.text("task.title"),
                    words.text("results.percent"),
                    words.text("results.competent"),
                    words.text("results.grade"),
                    words.text("marking.state"));
            for (MatrixMapper.Person p : mapper.people(me.centreId(), taskId, MOST_PEOPLE)) {
                csv.printRecord(
                        SpreadsheetText.harmless(p.name()),
                        SpreadsheetText.harmless(task.title()),
                        p.percent(),
                        outcome(p.competent()),
                        grade(task, p.percent(), p.competent()),
                        words.text(
                                p.released()
                                        ? "state.released"
                                        : p.percent() == null ? "matrix.notSigned" : "state.signed"));
            }
        }
        return file(text);
    }

    /** One line a sheet that was released, of every task that was set to the class. */
    @GetMapping("/classes/{id:[0-9a-f-]{36}}/results.csv")
    ResponseEntity<String> ofClass(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id) throws IOException {
        ClassGroup group = classes.one(me, id);
        Map<UUID, TaskVersion> set = new HashMap<>();
        var text = new StringBuilder();
        try (var csv = new CSVPrinter(text, CSVFormat.RFC4180)) {
            csv.printRecord(
                    words.text("person.displayName"),
                    words.text("person.signIn"),
                    words.text("task.class"),
                    words.text("task.title"),
                    words.text("results.attempt"),
                    words.text("results.released"),
                    words.text("results.percent"),
                    words.text("results.competent"),
                    words.text("results.grade"));
            for (MatrixMapper.Result r : mapper.results(me.centreId(), id, MOST_RESULTS)) {
                TaskVersion task = set.computeIfAbsent(r.taskId(), t -> tasks.task(me.centreId(), t));
                csv.printRecord(
                        SpreadsheetText.harmless(r.name()),
                        SpreadsheetText.harmless(r.signIn()),
                        SpreadsheetText.harmless(group.name()),
                        SpreadsheetText.harmless(task.title()),
                        r.attempt(),
                        r.releasedAt().atZone(me.zoneId()).toLocalDate(),
                        r.percent(),
                        outcome(r.competent()),
                        grade(task, r.percent(), r.competent()));
            }
        }
        return file(text);
    }

    private @Nullable String outcome(@Nullable Boolean competent) {
        return competent == null ? null : words.text(competent ? "outcome.competent" : "outcome.notYet");
    }

    private static @Nullable String grade(TaskVersion task, @Nullable BigDecimal percent, @Nullable Boolean competent) {
        return percent == null || !Boolean.TRUE.equals(competent)
                ? null
                : Grade.of(percent, task.practical().scheme().grades())
                        .map(Grade::name)
                        .orElse(null);
    }

    private static ResponseEntity<String> file(StringBuilder text) {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("results.csv")
                                .build()
                                .toString())
                .body(text.toString());
    }
}
