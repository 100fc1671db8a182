package app.galdrin.web.account;

import java.util.Objects;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;

/** Passwords that people choose themselves. */
@Service
public class Passwords {

    private static final Logger LOG = LoggerFactory.getLogger(Passwords.class);

    private final PersonMapper mapper;
    private final PasswordEncoder encoder;

    Passwords(PersonMapper mapper, PasswordEncoder encoder) {
        this.mapper = mapper;
        this.encoder = encoder;
    }

    /**
     * Puts a new password in the place of the one that was checked, which ends the person's sessions; the person with the stamp of those
     * to come. Empty if somebody else has set another one meanwhile.
     */
    public Optional<SignedIn> choose(SignedIn me, String password) {
        String before = mapper.hash(me.centreId(), me.personId());
        int set = mapper.setPassword(
                me.centreId(), me.personId(), encoder.encode(password), false, null, Objects.requireNonNull(before));
        if (set == 0) {
            return Optional.empty();
        }
        LOG.info("{} has a new password", me);
        return Optional.of(Objects.requireNonNull(mapper.present(me.centreId(), me.personId(), null))
                .signedIn());
    }
}
