package app.galdrin.web.account;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A person as the database has it now.
 *
 * @param endedAt when the person's sessions were last ended
 * @param oneTime whether the password was handed over and has to be replaced at first use
 * @param passwordUntil when such a password ends
 * @param passwordHash read to check a password alone
 * @param closedAt when the opening asked for was or will be closed
 */
record PersonRow(
        UUID personId,
        UUID centreId,
        Role role,
        String displayName,
        String signIn,
        boolean active,
        int stamp,
        @Nullable Instant endedAt,
        boolean oneTime,
        @Nullable Instant passwordUntil,
        @Nullable String passwordHash,
        String zone,
        String lengthDisplay,
        String angleDisplay,
        @Nullable Instant closedAt) {

    SignedIn signedIn() {
        return new SignedIn(
                personId,
                centreId,
                role,
                displayName,
                signIn,
                zone,
                lengthDisplay,
                angleDisplay,
                stamp,
                oneTime ? Access.NEW_PASSWORD : Access.ROLE,
                null,
                null);
    }
}
