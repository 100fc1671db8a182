package app.galdrin.web.account;

import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Limits failed attempts to sign in or to join, per account and address. Counted in the database, so that a second
 * instance counts along. A whole workshop often has one address: the limit per address alone is therefore wide.
 */
@Service
public class Attempts {

    private static final int MINUTES = 15;
    private static final int PER_ACCOUNT_AND_ADDRESS = 5;
    private static final int PER_ACCOUNT = 20;
    private static final int PER_ADDRESS = 100;

    private final AttemptMapper mapper;

    Attempts(AttemptMapper mapper) {
        this.mapper = mapper;
    }

    /** Failed attempts of late. */
    public record Failures(int accountAndAddress, int account, int address) {}

    /** Whether one more attempt is allowed now. */
    public boolean allowed(String account, String address) {
        Failures failures = mapper.failures(key(account), address, MINUTES);
        return failures.accountAndAddress() < PER_ACCOUNT_AND_ADDRESS
                && failures.account() < PER_ACCOUNT
                && failures.address() < PER_ADDRESS;
    }

    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void record(String account, String address, boolean succeeded) {
        if (succeeded) {
            mapper.forgetFailures(key(account), address);
        }
        mapper.insert(key(account), address, succeeded);
        mapper.deleteOld();
    }

    private static String key(String account) {
        String lower = account.strip().toLowerCase(Locale.ROOT);
        return lower.length() > 80 ? lower.substring(0, 80) : lower;
    }
}
