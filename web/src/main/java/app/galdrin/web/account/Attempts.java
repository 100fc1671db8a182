package app.galdrin.web.account;

import app.galdrin.web.account.AttemptMapper.Line;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Counts tries to sign in or to join before they are tried, in the database: neither tries at the same instant nor a second instance pass
 * a limit together. Nobody is refused because of what others did at the same address, since a whole workshop often has one; an address that
 * fails a lot is only served more slowly.
 */
@Service
@Transactional(
        propagation =
                Propagation
                        .NOT_SUPPORTED) // each statement by itself: a count that was made stands, and no two wait for
// one another
public class Attempts {

    private static final int MINUTES = 15;
    private static final int PER_ACCOUNT_AND_ADDRESS = 5;
    private static final int PER_ACCOUNT = 20;

    /** The number of failures from which an address is served slowly. */
    private static final int FAILING = 30;

    private static final int LONGEST_ACCOUNT = 80;
    private static final int LONGEST_ADDRESS = 64;
    private static final String ANY = "";

    private final AttemptMapper mapper;

    Attempts(AttemptMapper mapper) {
        this.mapper = mapper;
    }

    /** Returns whether a try may go on, and whether it comes from where much fails. */
    public record Turn(boolean allowed, boolean failing) {}

    /**
     * The origin of an attempt.
     *
     * @param place the address, or what the person's own device is known by
     * @param isOwnDevice whether the person has signed in there before: nobody else's tries count there
     */
    public record Origin(String place, boolean isOwnDevice) {

        public static Origin address(String address) {
            return new Origin(cut(address, LONGEST_ADDRESS), false);
        }

        /** @param device hash of its cookie */
        public static Origin ownDevice(String device) {
            return new Origin(cut("device " + device, LONGEST_ADDRESS), true);
        }
    }

    /** Counts a try to sign in that is about to be made. */
    public Turn begin(String name, Origin origin) {
        String account = account(name);
        String from = origin.place();
        int here = mapper.count(AttemptKind.SIGN_IN, new Line(account, from), MINUTES);
        if (here > PER_ACCOUNT_AND_ADDRESS) {
            return new Turn(
                    false, true); // not tried, so that it counts nowhere else: the name stays open at other addresses
        }
        if (origin.isOwnDevice()) {
            return new Turn(true, here > 1);
        }
        int anywhere = mapper.count(AttemptKind.SIGN_IN, new Line(account, ANY), MINUTES);
        int there = mapper.count(AttemptKind.SIGN_IN, new Line(ANY, from), MINUTES);
        return new Turn(anywhere <= PER_ACCOUNT, here > 1 || there > FAILING);
    }

    /** The try that was begun was right. */
    public void succeeded(String name, Origin origin) {
        String account = account(name);
        String from = origin.place();
        mapper.forget(AttemptKind.SIGN_IN, new Line(account, from));
        if (!origin.isOwnDevice()) {
            mapper.takeBack(AttemptKind.SIGN_IN, new Line(account, ANY));
            mapper.takeBack(AttemptKind.SIGN_IN, new Line(ANY, from));
        }
        mapper.deleteOld(MINUTES);
    }

    /** The try that was begun was not made after all. */
    public void notTried(String name, Origin origin) {
        String account = account(name);
        String from = origin.place();
        mapper.takeBack(AttemptKind.SIGN_IN, new Line(account, from));
        if (!origin.isOwnDevice()) {
            mapper.takeBack(AttemptKind.SIGN_IN, new Line(account, ANY));
            mapper.takeBack(AttemptKind.SIGN_IN, new Line(ANY, from));
        }
    }

    /** Counts a code that was none; right ones are not counted, a class of thirty types one at the same time. */
    public void wrongCode(String address) {
        mapper.count(AttemptKind.JOIN, new Line(ANY, cut(address, LONGEST_ADDRESS)), MINUTES);
        mapper.deleteOld(MINUTES);
    }

    /** Returns whether codes from an address are looked up slowly, since many were none. */
    public boolean failsCodes(String address) {
        return mapper.tries(AttemptKind.JOIN, new Line(ANY, cut(address, LONGEST_ADDRESS)), MINUTES) > FAILING;
    }

    private static String account(String name) {
        return cut(name.strip().toLowerCase(Locale.ROOT).replace("\0", ""), LONGEST_ACCOUNT);
    }

    private static String cut(String text, int longest) {
        return text.length() > longest ? text.substring(0, longest) : text;
    }
}
