package app.galdrin.web.background.internal;

import app.galdrin.web.background.RequestCount;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Counts a request while it is answered; assets do not come this far. */
@Component
@Order(RequestCountFilter.BEHIND_THE_GATES)
class RequestCountFilter extends OncePerRequestFilter {

    static final int BEHIND_THE_GATES = Ordered.HIGHEST_PRECEDENCE + 44;

    private final RequestCount requests;

    RequestCountFilter(RequestCount requests) {
        this.requests = requests;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        requests.begin();
        try {
            chain.doFilter(request, response);
        } finally {
            requests.end();
        }
    }
}
