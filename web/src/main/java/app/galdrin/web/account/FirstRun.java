package app.galdrin.web.account;

import app.galdrin.web.layout.Ids;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The first instructor of an empty installation, made by anyone who can read its console: a code is printed there, the same by every
 * instance, and used up by the first who types it.
 */
@Service
public class FirstRun {

    private final PersonMapper mapper;
    private final PasswordEncoder passwords;
    private final TransactionTemplate transaction;
    private final Office office;

    FirstRun(PersonMapper mapper, PasswordEncoder passwords, TransactionTemplate transaction, Office office) {
        this.mapper = mapper;
        this.passwords = passwords;
        this.transaction = transaction;
        this.office = office;
    }

    /** The code of an installation that nobody has begun yet; makes one if there is none. */
    public Optional<String> offer() {
        mapper.offerSetUpCode(office.oneTime());
        return Optional.ofNullable(mapper.setUpCode());
    }

    /** Returns whether somebody can begin: a code has been printed and nobody is there. No code is printed where demo data loads. */
    public boolean isOpen() {
        return mapper.setUpCode() != null;
    }

    public boolean isCode(String typed) {
        return isCode(mapper.setUpCode(), typed);
    }

    private static boolean isCode(@Nullable String code, String typed) {
        return code != null
                && MessageDigest.isEqual(
                        code.getBytes(StandardCharsets.UTF_8), grouped(typed).getBytes(StandardCharsets.UTF_8));
    }

    /** Returns the code as it is printed, whether it was typed with hyphens, blanks or neither. */
    private static String grouped(String typed) {
        return typed.toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]", "")
                .replaceAll("(?<=\\G.{" + Office.GROUP + "})(?=.)", "-");
    }

    /** The college and its first instructor, both or neither; empty where somebody was quicker. */
    public Optional<SignedIn> begin(
            String code, String college, String zone, String displayName, String signIn, String password) {
        String hash = passwords.encode(password);
        UUID centre = Ids.next();
        UUID person = Ids.next();
        transaction.executeWithoutResult(status -> {
            mapper.lockFirstRun();
            if (isCode(mapper.setUpCode(), code)) {
                mapper.insertCentre(centre, college, zone);
                String name = signIn.toLowerCase(Locale.ROOT);
                mapper.insert(person, centre, Role.INSTRUCTOR, displayName, name, hash, false, null);
                mapper.dropSetUpCode();
            }
        });
        return Optional.ofNullable(mapper.present(centre, person, null)).map(PersonRow::signedIn);
    }
}
