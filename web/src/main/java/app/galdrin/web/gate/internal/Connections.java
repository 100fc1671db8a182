package app.galdrin.web.gate.internal;

import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Holds connections with {@link TimedHeads}; their number is a setting. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class Connections implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.setProtocol(TimedHeads.class.getName());
    }
}
