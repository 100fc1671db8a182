package app.galdrin.web.papers;

import app.galdrin.web.layout.Said;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.context.ApplicationContext;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Service;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.expression.ThymeleafEvaluationContext;

/** Makes PDFs of templates under {@code papers/}, which are well-formed and name nothing outside of themselves. */
@Service
public class Papers {

    /** So many at once: each takes some ten megabytes while it is made. */
    private static final int AT_ONCE = 2;

    private static final int PATIENCE_SECONDS = 20;

    /** What the drawings are drawn with where no style sheet reaches them. */
    private static final String DRAWN =
            "<style>path,line{fill:none;stroke:#1b2a41;stroke-width:1}.rule-line,.rule-tick{stroke:#b8b1a0}"
                    + ".rule-band,.rule-stop{stroke-width:2.6}.rule-leader,.rule-bracket{stroke:#8a4f00;stroke-width:1.6}"
                    + "text{fill:#1b2a41;font-size:11px;font-family:B612}</style>";

    private final ITemplateEngine templates;
    private final ApplicationContext beans;
    private final Semaphore places = new Semaphore(AT_ONCE);

    Papers(ITemplateEngine templates, ApplicationContext beans) {
        this.templates = templates;
        this.beans = beans;
    }

    /** Too many are being made; whoever asks tries again. */
    public static final class TooBusy extends RuntimeException {
        private static final long serialVersionUID = 1;

        public Said said() {
            return Said.of("papers.busy");
        }
    }

    /** A page as a file to keep; {@code name} without its end. */
    public ResponseEntity<byte[]> pdf(String template, String name, Map<String, Object> model) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(name.replaceAll("[^A-Za-z0-9]+", "-") + ".pdf")
                                .build()
                                .toString())
                .body(made(template, model));
    }

    private byte[] made(String template, Map<String, Object> model) {
        String page = written(template, model);
        try {
            if (!places.tryAcquire(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
                throw new TooBusy();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new TooBusy();
        }
        try {
            return drawn(page);
        } finally {
            places.release();
        }
    }

    private String written(String template, Map<String, Object> model) {
        Map<String, Object> all = new HashMap<>(model);
        all.put(
                ThymeleafEvaluationContext.THYMELEAF_EVALUATION_CONTEXT_CONTEXT_VARIABLE_NAME,
                new ThymeleafEvaluationContext(beans, null));
        String page = templates.process("papers/" + template, new Context(Locale.ENGLISH, all));
        return page.replaceAll("(<svg\\b[^>]*>)", "$1" + DRAWN);
    }

    private byte[] drawn(String page) {
        var out = new ByteArrayOutputStream();
        var builder = new PdfRendererBuilder();
        builder.useFastMode();
        builder.useFont(() -> font("400"), "B612", 400, FontStyle.NORMAL, true);
        builder.useFont(() -> font("700"), "B612", 700, FontStyle.NORMAL, true);
        builder.useSVGDrawer(new BatikSVGDrawer());
        builder.useUriResolver((base, uri) -> null); // nothing is fetched, whatever a page names
        builder.withHtmlContent(page, null);
        builder.toStream(out);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static InputStream font(String weight) {
        return Objects.requireNonNull(Papers.class.getResourceAsStream("fonts/b612-" + weight + ".ttf"));
    }
}
