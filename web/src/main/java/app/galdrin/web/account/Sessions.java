package app.galdrin.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Service;

/** Starts a session for a person who came in another way than by password, or whose session changes. */
@Service
public class Sessions {

    private final HttpSessionSecurityContextRepository repository = new HttpSessionSecurityContextRepository();

    public void start(SignedIn person, HttpServletRequest request, HttpServletResponse response) {
        if (request.getSession(false) != null) {
            request.changeSessionId(); // a session id known from before must not become a signed-in one
        }
        var context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(
                UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities()));
        SecurityContextHolder.setContext(context);
        repository.saveContext(context, request, response);
    }
}
