package app.galdrin.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** The browsers from which people have signed in before. Tries from one are counted by themselves, so that nobody else can lock a name there. */
@Service
public class KnownDevices {

    private static final int DAYS = 180;

    /** More are forgotten, the oldest first. */
    private static final int MOST = 20;

    private static final SecretCookie COOKIE = new SecretCookie("galdrin-known", Duration.ofDays(DAYS));

    private final PersonMapper mapper;

    KnownDevices(PersonMapper mapper) {
        this.mapper = mapper;
    }

    /** Returns what a request carries of a device; whether it is known to anybody is asked by {@link #isKnown}. */
    public Optional<String> device(HttpServletRequest request) {
        return COOKIE.hash(request);
    }

    /** Returns whether somebody of this sign-in name has signed in there, with the password of today. */
    public boolean isKnown(String signIn, String device) {
        return mapper.knowsDevice(People.plain(signIn), device, DAYS);
    }

    /** Remembers that somebody has signed in on a device. */
    public void remember(SignedIn person, HttpServletRequest request, HttpServletResponse response) {
        String device = COOKIE.give(request, response);
        mapper.rememberDevice(person.centreId(), person.personId(), device, person.stamp());
        mapper.forgetDevices(person.centreId(), person.personId(), MOST);
    }
}
