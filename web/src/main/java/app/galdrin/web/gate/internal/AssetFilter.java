package app.galdrin.web.gate.internal;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExecutionChain;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import org.springframework.web.servlet.resource.ResourceHttpRequestHandler;
import org.springframework.web.util.ServletRequestPathUtils;

/**
 * Styles, scripts and fonts are everybody's: they are answered before sessions and sign-in, which are asked of the database. With a session's
 * cookie each of them would otherwise read, and write, the session.
 */
@Component
@Order(Gates.ASSETS)
class AssetFilter extends OncePerRequestFilter {

    private static final String ASSETS = "/assets/";

    private final ObjectProvider<HandlerMapping> resources;

    AssetFilter(@Qualifier("resourceHandlerMapping") ObjectProvider<HandlerMapping> resources) {
        this.resources = resources;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith(ASSETS);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        EarlyHeaders.ofAsset(response);
        ServletRequestPathUtils.parseAndCache(request);
        if (!isLook(request)) {
            response.sendError(HttpServletResponse.SC_METHOD_NOT_ALLOWED);
        } else if (!answered(request, response)) {
            response.sendError(HttpServletResponse.SC_NOT_FOUND);
        }
    }

    private static boolean isLook(HttpServletRequest request) {
        return request.getMethod().equals("GET") || request.getMethod().equals("HEAD");
    }

    private boolean answered(HttpServletRequest request, HttpServletResponse response)
            throws ServletException, IOException {
        try {
            HandlerExecutionChain found = resources.getObject().getHandler(request);
            if (found == null || !(found.getHandler() instanceof ResourceHttpRequestHandler handler)) {
                return false;
            }
            for (HandlerInterceptor interceptor : found.getInterceptorList()) {
                interceptor.preHandle(request, response, handler); // says which part of the address names the file
            }
            handler.handleRequest(request, response);
            return true;
        } catch (NoResourceFoundException e) {
            return false;
        } catch (ServletException | IOException | RuntimeException e) {
            throw e;
        } catch (Exception e) {
            throw new ServletException(e);
        }
    }
}
