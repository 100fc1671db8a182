package app.galdrin.web.account;

import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import java.security.SecureRandom;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Administration of a centre's people and their roles. The office decides on everybody, an instructor on apprentices, and on everybody as long as the
 * centre has no office. Nobody decides about their own access, so that somebody who can is always left. Each decision ends the sessions of the person
 * it concerns.
 */
@Service
public class Office {

    private static final Logger LOG = LoggerFactory.getLogger(Office.class);

    /** Hours for which a one-time password can be used. */
    public static final int HOURS = 72;

    private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";
    private static final int GROUPS = 3;
    static final int GROUP = 4;

    private final PersonMapper mapper;
    private final PasswordEncoder passwords;
    private final TransactionTemplate transaction;
    private final SecureRandom random = new SecureRandom();

    Office(PersonMapper mapper, PasswordEncoder passwords, TransactionTemplate transaction) {
        this.mapper = mapper;
        this.passwords = passwords;
        this.transaction = transaction;
    }

    /** The roles this person may give and take. */
    public Set<Role> decidesOn(SignedIn me) {
        boolean everybody = me.is(Role.OFFICE) || (me.is(Role.INSTRUCTOR) && !mapper.hasOffice(me.centreId()));
        if (everybody) {
            return EnumSet.allOf(Role.class);
        }
        return me.is(Role.INSTRUCTOR) ? EnumSet.of(Role.APPRENTICE) : EnumSet.noneOf(Role.class);
    }

    /** Returns whether this person decides on everybody: the office, or an instructor where there is none. */
    public boolean decidesOnEverybody(SignedIn me) {
        return decidesOn(me).contains(Role.OFFICE);
    }

    /** Returns whether this person may decide on that one. */
    public boolean decidesOn(SignedIn me, Person other) {
        return !other.erased()
                && !other.id().equals(me.personId())
                && decidesOn(me).contains(other.role());
    }

    /** A new person, and the one-time password to hand over. */
    public String add(SignedIn me, Role role, String displayName, String signIn) {
        return add(me, Ids.next(), role, displayName, signIn);
    }

    /** The same under an id. */
    String add(SignedIn me, UUID id, Role role, String displayName, String signIn) {
        String password = oneTime();
        String hash = passwords.encode(password); // before the transaction: it may have to wait
        decide(me, "added " + role, id, () -> {
            if (!decidesOn(me).contains(role)) {
                throw new NotThere("role", role, me);
            }
            String name = signIn.strip().toLowerCase(Locale.ROOT);
            mapper.insert(id, me.centreId(), role, displayName.strip(), name, hash, true, HOURS);
        });
        return password;
    }

    /** A one-time password for somebody who has lost theirs. */
    public String reset(SignedIn me, UUID personId) {
        String password = oneTime();
        String hash = passwords.encode(password);
        decide(me, "reset", personId, () -> {
            concerned(me, personId);
            mapper.setPassword(me.centreId(), personId, hash, true, HOURS, null);
        });
        return password;
    }

    /** Lets somebody in no longer, or again. */
    public void activate(SignedIn me, UUID personId, boolean active) {
        decide(me, active ? "activated" : "deactivated", personId, () -> {
            concerned(me, personId);
            mapper.activate(me.centreId(), personId, active);
        });
    }

    /** Puts a name right; anyone who is signed in stays so. */
    public void rename(SignedIn me, UUID personId, String displayName) {
        decide(me, "renamed", personId, () -> {
            concerned(me, personId);
            mapper.rename(me.centreId(), personId, displayName);
        });
    }

    /**
     * Erases a person's data: the sheets this person sat alone go for good; what this person did for others stays without the name.
     *
     * @param nameInstead what stands in the name's place, before a number
     * @return how many sheets are gone
     */
    public int erase(SignedIn me, UUID personId, String nameInstead) {
        var sheets = new AtomicInteger();
        decide(me, "erased", personId, () -> {
            concerned(me, personId);
            if (!decidesOnEverybody(me)) {
                throw new NotThere("person", personId, me);
            }
            sheets.set(mapper.erase(me.centreId(), personId, me.personId(), nameInstead));
        });
        return sheets.get();
    }

    public void giveRole(SignedIn me, UUID personId, Role role) {
        decide(me, "made " + role, personId, () -> {
            concerned(me, personId);
            if (!decidesOn(me).contains(role)) {
                throw new NotThere("role", role, me);
            }
            mapper.giveRole(me.centreId(), personId, role);
        });
    }

    /** One decision after another in a centre, each by somebody who may still decide. */
    private void decide(SignedIn me, String what, UUID whom, Runnable decision) {
        transaction.executeWithoutResult(status -> {
            mapper.lockCentre(me.centreId());
            PersonRow now = mapper.present(me.centreId(), me.personId(), null);
            if (now == null || !now.active() || now.role() != me.role()) {
                throw new NotThere("person", me.personId(), me);
            }
            decision.run();
        });
        LOG.info("{} {} by {}", whom, what, me);
    }

    private void concerned(SignedIn me, UUID personId) {
        Person other = mapper.one(me.centreId(), personId);
        if (other == null || !decidesOn(me, other)) {
            throw new NotThere("person", personId, me);
        }
    }

    /** Twelve letters and figures that are not mixed up when read out: 59 bits. */
    String oneTime() {
        return random.ints(GROUPS, 0, Integer.MAX_VALUE).mapToObj(i -> group()).collect(Collectors.joining("-"));
    }

    private String group() {
        return random.ints(GROUP, 0, LETTERS.length())
                .mapToObj(i -> String.valueOf(LETTERS.charAt(i)))
                .collect(Collectors.joining());
    }
}
