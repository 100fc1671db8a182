package app.galdrin.web.gate.internal;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.regex.Pattern;
import org.springframework.boot.actuate.autoconfigure.web.ManagementContextConfiguration;
import org.springframework.boot.actuate.autoconfigure.web.ManagementContextType;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Condition;
import org.springframework.context.annotation.ConditionContext;
import org.springframework.context.annotation.Conditional;
import org.springframework.core.type.AnnotatedTypeMetadata;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * The management port is asked by an address or as localhost. A page in a browser on this computer may make a name of its own point here, and
 * would read what the browser fetches under it.
 */
@Conditional(ManagementHosts.ChildContext.class)
@ManagementContextConfiguration(value = ManagementContextType.CHILD, proxyBeanMethods = false)
class ManagementHosts {

    private static final Pattern OURS = Pattern.compile("localhost|[0-9.]+|\\[[0-9a-fA-F:.]+]");

    /** The application's own pages are found by whatever name the operator gives them; a scan of them must not take this up. */
    static final class ChildContext implements Condition {
        @Override
        public boolean matches(ConditionContext context, AnnotatedTypeMetadata metadata) {
            return context.getBeanFactory() != null && context.getBeanFactory().getParentBeanFactory() != null;
        }
    }

    @Bean
    OncePerRequestFilter onlyOurHosts() {
        return new OncePerRequestFilter() {
            @Override
            protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                    throws ServletException, IOException {
                if (OURS.matcher(request.getServerName()).matches()) {
                    chain.doFilter(request, response);
                } else {
                    EarlyHeaders.ofPage(response);
                    response.setStatus(HttpStatus.MISDIRECTED_REQUEST.value());
                }
            }
        };
    }
}
