package app.galdrin.web.task.internal;

import app.galdrin.core.measure.ToeMethods;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.library.Library;
import app.galdrin.web.sketch.Sketches;
import java.time.Duration;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** The positions of a sketch's fields. A sheet never changes; the layout may, with the next version of the program. */
@RestController
class SketchController {

    private static final CacheControl CACHE =
            CacheControl.maxAge(Duration.ofHours(1)).cachePrivate();

    private final Library library;

    SketchController(Library library) {
        this.library = library;
    }

    @GetMapping("/sketches/{sheetId}/{method}.css")
    ResponseEntity<String> positions(
            @AuthenticationPrincipal SignedIn me, @PathVariable UUID sheetId, @PathVariable String method) {
        var wanted = ToeMethods.named(method).orElseThrow(() -> new NotThere("method"));
        var geometry = library.sheet(me.centreId(), sheetId).sheet().geometry();
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("text/css"))
                .cacheControl(CACHE)
                .body(Sketches.styleSheet(Sketches.of(sheetId, geometry, wanted)));
    }
}
