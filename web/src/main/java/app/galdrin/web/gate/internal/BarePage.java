package app.galdrin.web.gate.internal;

import java.io.IOException;
import java.io.Writer;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;

/** The page for what the server refuses before the application hears of it, such as an address that is none: no style, our words. */
@Component
class BarePage implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    private final MessageSource messages;

    BarePage(MessageSource messages) {
        this.messages = messages;
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addContextCustomizers(context -> {
            if (context.getParent() instanceof StandardHost host) {
                host.getPipeline().addValve(new Valve());
                host.setErrorReportValveClass(""); // the server's own would name the server
            }
        });
    }

    private final class Valve extends ErrorReportValve {
        @Override
        protected void report(Request request, Response response, @Nullable Throwable e) {
            if (response.getStatus() < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
                return;
            }
            int status = response.getStatus() < 500 ? 400 : 500;
            String title =
                    HtmlUtils.htmlEscape(messages.getMessage("error." + status + ".title", null, request.getLocale()));
            String text =
                    HtmlUtils.htmlEscape(messages.getMessage("error." + status + ".text", null, request.getLocale()));
            EarlyHeaders.ofPage(response);
            response.setContentType("text/html");
            response.setCharacterEncoding("UTF-8");
            try (Writer page = response.getReporter()) {
                if (page != null) {
                    page.write("<!DOCTYPE html><html lang=\"en\"><head><title>" + title
                            + "</title></head><body><p class=\"tb-brand\"><a href=\"/\">Galdrin</a></p><main><h1>"
                            + title
                            + "</h1><p>" + text + "</p></main></body></html>");
                }
            } catch (IOException gone) {
                container.getLogger().debug("the asker has gone", gone);
            }
        }
    }
}
