package app.galdrin.web.account;

import app.galdrin.web.layout.Ids;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.stereotype.Service;

/** Sessions: how one begins, what has become of it, and which a person has. */
@Service
public class Sessions {

    /** The cookie by which a browser is known again that takes a name by code; signing out takes it away. */
    public static final String JOINING = "galdrin-joining";

    /** Time after its end for which a session may still deliver what was written before. */
    private static final Duration DELIVERY = Duration.ofHours(12);

    private static final int LONGEST_ADDRESS = 64;
    private static final int MOST = 100;

    private final PersonMapper people;
    private final FindByIndexNameSessionRepository<? extends Session> rows;
    private final Duration lifetime;

    /** @param lifetime how long a session lasts at most, however much it is used */
    Sessions(
            PersonMapper people,
            JdbcIndexedSessionRepository rows,
            @Value("${galdrin.session.lifetime}") Duration lifetime) {
        this.people = people;
        this.rows = rows;
        this.lifetime = lifetime;
    }

    // ---- beginning

    /** Starts a session for a person who came in another way than by password, or who has just chosen a new one. */
    public void start(SignedIn person, HttpServletRequest request, HttpServletResponse response) {
        if (request.getSession(false) != null) {
            request.changeSessionId(); // a session id known from before must not become a signed-in one
        }
        keep(person, request);
        SecurityContextHolder.getContext().setAuthentication(authentication(person));
    }

    /** Returns what is known of a person to anyone who asks what they may do. */
    public static Authentication authentication(SignedIn person) {
        String authority = person.access().authority(person.role());
        return UsernamePasswordAuthenticationToken.authenticated(
                person, null, List.of(new SimpleGrantedAuthority(authority)));
    }

    /** Puts a ticket of this person into the request's session. */
    public void keep(SignedIn person, HttpServletRequest request) {
        var ticket = new Ticket(
                Ids.next(),
                person.personId(),
                person.centreId(),
                person.role(),
                person.stamp(),
                person.limitedTo(),
                Instant.now(),
                cut(request.getRemoteAddr()),
                device(request.getHeader("User-Agent")));
        var session = request.getSession();
        session.setAttribute(Ticket.ATTRIBUTE, ticket);
        session.setAttribute(
                FindByIndexNameSessionRepository.PRINCIPAL_NAME_INDEX_NAME,
                person.personId().toString());
    }

    private static String cut(String address) {
        return address.substring(0, Math.min(address.length(), LONGEST_ADDRESS));
    }

    /** Phones and tablets say so themselves. */
    private static String device(@Nullable String browser) {
        String said = browser == null ? "" : browser.toLowerCase(Locale.ROOT);
        return said.contains("mobi") || said.contains("android") || said.contains("ipad") ? "hand" : "desk";
    }

    // ---- following

    /** Returns the person who is behind a request with this ticket now; empty where the session is over. */
    Optional<SignedIn> follow(Ticket ticket) {
        return follow(ticket, Instant.now());
    }

    Optional<SignedIn> follow(Ticket ticket, Instant now) {
        PersonRow person = people.present(ticket.centreId(), ticket.personId(), ticket.limitedTo());
        if (person == null) {
            return Optional.empty();
        }
        SignedIn me = person.signedIn();
        Instant end = end(ticket, person);
        if (now.isBefore(end)) {
            return Optional.of(ticket.limitedTo() == null ? me : me.joined(ticket.limitedTo()));
        }
        boolean delivers = ticket.role() == Role.APPRENTICE && now.isBefore(end.plus(DELIVERY));
        return delivers
                ? Optional.of(me.with(ticket.role(), Access.DELIVERY, ticket.limitedTo(), end))
                : Optional.empty();
    }

    /** Returns when a session ends or has ended, by whatever comes first. */
    private Instant end(Ticket ticket, PersonRow person) {
        boolean same = ticket.stamp() == person.stamp() && person.active();
        Instant ofPerson = same ? null : Objects.requireNonNullElse(person.endedAt(), Instant.EPOCH);
        return Stream.of(ticket.began().plus(lifetime), ofPerson, person.closedAt())
                .filter(Objects::nonNull)
                .min(Comparator.naturalOrder())
                .orElseThrow();
    }

    // ---- a person's own

    /**
     * A session as its person sees it.
     *
     * @param device key of a word for what it runs on
     */
    public record OwnSession(UUID id, String device, String address, Instant began, Instant used, boolean here) {}

    /** The sessions that let this person in now, the last used first. */
    public List<OwnSession> own(SignedIn me, HttpServletRequest request) {
        UUID here = ticket(request).map(Ticket::id).orElse(null);
        Instant now = Instant.now();
        return of(me).values().stream()
                .flatMap(session -> ticketOf(session)
                        .filter(t -> t.stamp() == me.stamp()
                                && now.isBefore(t.began().plus(lifetime)))
                        .map(t -> new OwnSession(
                                t.id(),
                                t.device(),
                                t.address(),
                                t.began(),
                                session.getLastAccessedTime(),
                                t.id().equals(here)))
                        .stream())
                .sorted(Comparator.comparing(OwnSession::used).reversed())
                .limit(MOST)
                .toList();
    }

    /** Ends one of them. */
    public void end(SignedIn me, UUID id) {
        endWhere(me, ticket -> ticket.id().equals(id));
    }

    /** Ends all but the one that asks. */
    public void endOthers(SignedIn me, HttpServletRequest request) {
        UUID here = ticket(request).map(Ticket::id).orElse(null);
        endWhere(me, ticket -> !ticket.id().equals(here));
    }

    /** Ends those by which a person had joined an opening. */
    public void endJoined(UUID personId, UUID openingId) {
        rows.findByPrincipalName(personId.toString())
                .forEach((id, session) -> ticketOf(session)
                        .filter(ticket -> openingId.equals(ticket.limitedTo()))
                        .ifPresent(ticket -> rows.deleteById(id)));
    }

    private void endWhere(SignedIn me, Predicate<Ticket> which) {
        of(me).forEach((id, session) -> ticketOf(session).filter(which).ifPresent(ticket -> rows.deleteById(id)));
    }

    private Map<String, ? extends Session> of(SignedIn me) {
        return rows.findByPrincipalName(me.personId().toString());
    }

    private static Optional<Ticket> ticketOf(Session session) {
        return Optional.ofNullable(session.getAttribute(Ticket.ATTRIBUTE));
    }

    /** The ticket of the request's session. */
    static Optional<Ticket> ticket(HttpServletRequest request) {
        var session = request.getSession(false);
        return session == null
                ? Optional.empty()
                : Optional.ofNullable((Ticket) session.getAttribute(Ticket.ATTRIBUTE));
    }
}
