package app.galdrin.web.papers;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.logging.Level;
import java.util.regex.Matcher;
import org.springframework.context.ApplicationContext;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Service;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.expression.ThymeleafEvaluationContext;

/** Makes PDFs of templates under {@code papers/}, which are well-formed and name nothing outside of themselves. */
@Service
public class Papers {

    /** The number of papers made at once; each takes about 10 MB. */
    private static final int AT_ONCE = 2;

    private static final int PATIENCE_SECONDS = 20;

    /** The styles of every page, and of the drawings, which no page's style sheet reaches. */
    private static final String PAGE = styles("paper.css");

    /** A page of HTML leaves the name space away; drawn from XML, nothing would be a drawing without it. */
    private static final String SVG = "<svg xmlns=\"http://www.w3.org/2000/svg\"";

    private static final String DRAWING = styles("drawing.css");

    private final ITemplateEngine templates;
    private final ApplicationContext beans;
    private final Semaphore places = new Semaphore(AT_ONCE);

    Papers(ITemplateEngine templates, ApplicationContext beans) {
        this.templates = templates;
        this.beans = beans;
        XRLog.listRegisteredLoggers().forEach(steps -> XRLog.setLevel(steps, Level.WARNING));
    }

    /** Refusal where too many papers are being made; the asker tries again. */
    @ResponseStatus(HttpStatus.SERVICE_UNAVAILABLE)
    public static final class TooBusy extends RuntimeException {
        private static final long serialVersionUID = 1;
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
        return page.replace("</head>", PAGE + "</head>")
                .replaceAll("<svg\\b([^>]*>)", SVG + "$1" + Matcher.quoteReplacement(DRAWING));
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
        return resource("fonts/b612-" + weight + ".ttf");
    }

    private static InputStream resource(String name) {
        return Objects.requireNonNull(Papers.class.getResourceAsStream(name));
    }

    private static String styles(String name) {
        try (InputStream in = resource(name)) {
            return "<style>" + new String(in.readAllBytes(), StandardCharsets.UTF_8) + "</style>";
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
