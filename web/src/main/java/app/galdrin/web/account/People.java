package app.galdrin.web.account;

import app.galdrin.core.quantity.AngleDisplay;
import app.galdrin.core.quantity.LengthDisplay;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** People and classes of a centre. */
@Service
public class People {

    /** Greatest number of people or classes in a list. */
    public static final int MOST = 500;

    private final PersonMapper mapper;
    private final PasswordEncoder passwords;

    People(PersonMapper mapper, PasswordEncoder passwords) {
        this.mapper = mapper;
        this.passwords = passwords;
    }

    /** Returns whether there is nobody at all. */
    public boolean nobody() {
        return !mapper.anyone();
    }

    public List<Person> all(UUID centreId) {
        return mapper.all(centreId, MOST);
    }

    public List<ClassGroup> classes(UUID centreId) {
        return mapper.classes(centreId, MOST);
    }

    /** Apprentices of a class by name. */
    public List<Person> classMembers(UUID centreId, UUID classId) {
        return mapper.classMembers(centreId, classId, MOST);
    }

    /** A person of this centre as lists show one. */
    public Person person(UUID centreId, UUID personId) {
        Person person = mapper.one(centreId, personId);
        if (person == null) {
            throw new NotThere("person", personId, "centre " + centreId);
        }
        return person;
    }

    /** A person of this centre, signed in. */
    public SignedIn session(UUID centreId, UUID personId) {
        PersonRow person = mapper.present(centreId, personId, null);
        if (person == null) {
            throw new NotThere("person", personId, "centre " + centreId);
        }
        return person.signedIn();
    }

    /** Returns whether somebody signs in under this name; capitals do not count. */
    public boolean isTaken(String signIn) {
        return mapper.bySignIn(plain(signIn)) != null;
    }

    /** Returns the person who signs in under a name; capitals do not count. */
    public Optional<Account> account(String signIn) {
        return Optional.ofNullable(mapper.bySignIn(plain(signIn))).map(Account::new);
    }

    /** Returns a name as names are compared. */
    static String plain(String signIn) {
        return signIn.strip().toLowerCase(Locale.ROOT);
    }

    /** Makes a centre for its first instructor. */
    @Transactional
    public UUID makeCentre(String name, String zone) {
        UUID id = Ids.next();
        mapper.insertCentre(id, name, zone);
        return id;
    }

    /** Sets how everyone of the centre sees lengths and angles. */
    @Transactional
    public void show(UUID centreId, LengthDisplay lengths, AngleDisplay angles) {
        mapper.show(centreId, lengths, angles);
    }

    /**
     * A person with a password of their own choice. One statement, and no transaction about it: nobody holds a connection while a hash waits
     * for its turn.
     */
    public UUID add(UUID centreId, Role role, String displayName, String signIn, String password) {
        UUID id = Ids.next();
        mapper.insert(id, centreId, role, displayName, plain(signIn), passwords.encode(password), false, null);
        return id;
    }

    /** Person to be added: the name that others see, and the name to sign in by. */
    public record NewPerson(String displayName, String signIn) {}

    /** Several people with one password, which is hashed once: it is no secret among them, as in the demo. */
    public List<UUID> addAll(UUID centreId, Role role, List<NewPerson> all, String password) {
        String hash = passwords.encode(password);
        List<UUID> ids = new ArrayList<>();
        for (NewPerson one : all) {
            UUID id = Ids.next();
            mapper.insert(id, centreId, role, one.displayName(), plain(one.signIn()), hash, false, null);
            ids.add(id);
        }
        return ids;
    }

    /**
     * A class of apprentices.
     *
     * @return empty where another class has this name
     * @throws NotThere where one of the members is no apprentice of the centre; then there is no class
     */
    @Transactional
    public Optional<UUID> makeClass(UUID centreId, String name, List<UUID> members) {
        UUID id = Ids.next();
        if (mapper.insertClass(id, centreId, name) == 0) {
            return Optional.empty();
        }
        List<UUID> each = members.stream().distinct().toList();
        if (!each.isEmpty() && mapper.insertMembers(centreId, id, each) < each.size()) {
            throw new NotThere("apprentice", centreId, "class " + name);
        }
        return Optional.of(id);
    }
}
