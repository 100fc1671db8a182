package app.galdrin.web.gate.internal;

import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** How connections are held: {@link TimedHeads}; how many, is a setting. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class Connections implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.setProtocol(TimedHeads.class.getName());
    }
}
