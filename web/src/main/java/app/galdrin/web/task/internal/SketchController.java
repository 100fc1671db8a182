package app.galdrin.web.task.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.library.Library;
import app.galdrin.web.sketch.Sketches;
import app.galdrin.web.words.Words;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The positions of a sketch's fields. A sheet never changes; the layout may, with the next version of the program. */
@RestController
class SketchController {

    private static final CacheControl CACHE =
            CacheControl.maxAge(Duration.ofHours(1)).cachePrivate();
    private static final int MOST_FIGURES = 20;

    private final Library library;

    SketchController(Library library) {
        this.library = library;
    }

    @GetMapping("/sketches/{sheetId}/{procedure}.css")
    ResponseEntity<String> positions(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID sheetId,
            @PathVariable String procedure,
            @RequestParam String figures) {
        var wanted =
                Procedures.named(procedure).orElseThrow(() -> new NotThere("procedure", Words.quote(procedure), me));
        List<FigureId> asked = Stream.of(figures.split(",", -1))
                .limit(MOST_FIGURES)
                .flatMap(key -> FigureId.parse(key).stream())
                .toList();
        var sheet = library.sheet(me.centreId(), sheetId).sheet();
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("text/css"))
                .cacheControl(CACHE)
                .body(Sketches.styleSheet(Sketches.of(sheetId, sheet, wanted, asked)));
    }
}
