package app.galdrin.web.layout.internal;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/**
 * The page that a browser keeps for when no other comes, and the service worker that shows it. The worker is no asset: it has to lie at the
 * root to answer for every page, and is asked for again each time.
 */
@Controller
class NoConnectionController {

    private static final Resource WORKER = new ClassPathResource("no-connection-worker.js");

    @GetMapping("/no-connection")
    String page() {
        return "layout/no-connection";
    }

    @GetMapping("/no-connection-worker.js")
    ResponseEntity<Resource> worker() {
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("text/javascript"))
                .cacheControl(CacheControl.noCache())
                .body(WORKER);
    }
}
