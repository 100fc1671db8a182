package app.galdrin.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.context.DeferredSecurityContext;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.web.context.HttpRequestResponseHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/** Identity behind a request: the ticket of its session, and the person as the database has it at this moment. */
@Component
public class SessionContext implements SecurityContextRepository {

    /** Set on a request whose session was ended by others. */
    public static final String ENDED = "galdrin.ended";

    private final Sessions sessions;

    SessionContext(Sessions sessions) {
        this.sessions = sessions;
    }

    @Override
    public DeferredSecurityContext loadDeferredContext(HttpServletRequest request) {
        return new CachedLookup(() -> load(request));
    }

    private SecurityContext load(HttpServletRequest request) {
        Optional<Ticket> ticket = Sessions.ticket(request);
        Optional<SignedIn> person = ticket.flatMap(sessions::follow);
        boolean ended =
                ticket.isPresent() && person.filter(p -> p.endedAt() == null).isEmpty();
        if (ended) {
            request.setAttribute(ENDED, true);
        }
        return person.<SecurityContext>map(p -> new SecurityContextImpl(Sessions.authentication(p)))
                .orElseGet(SecurityContextImpl::new);
    }

    /** @deprecated as the interface says; nothing calls it */
    @Deprecated
    @Override
    public SecurityContext loadContext(HttpRequestResponseHolder holder) {
        return load(holder.getRequest());
    }

    @Override
    public void saveContext(SecurityContext context, HttpServletRequest request, HttpServletResponse response) {
        var authentication = context.getAuthentication();
        if (authentication != null && authentication.getPrincipal() instanceof SignedIn person) {
            sessions.keep(person, request);
        } else if (request.getSession(false) != null) {
            request.getSession().removeAttribute(Ticket.ATTRIBUTE);
        }
    }

    @Override
    public boolean containsContext(HttpServletRequest request) {
        return Sessions.ticket(request).isPresent();
    }

    /** Asked for once a request, and only where somebody wants to know. */
    private static final class CachedLookup implements DeferredSecurityContext {
        private final Supplier<SecurityContext> load;
        private @Nullable SecurityContext loaded;

        CachedLookup(Supplier<SecurityContext> load) {
            this.load = load;
        }

        @Override
        public SecurityContext get() {
            SecurityContext context = loaded;
            if (context == null) {
                context = load.get();
                loaded = context;
            }
            return context;
        }

        @Override
        public boolean isGenerated() {
            return get().getAuthentication() == null;
        }
    }
}
