package app.galdrin.web.account;

import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.words.Sentence;
import java.io.Serializable;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The classes of a centre: who is in them, and people made of a list of names. */
@Service
public class Classes {

    /** The most names added at once; hashing a password for each takes time. */
    public static final int MOST_NAMES = 60;

    private static final String TAKEN = "people.class.taken";
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_CLASS_NAME = 80;
    private static final int SHORTEST_SIGN_IN = 3;
    private static final int LONGEST_SIGN_IN = 60;

    private final PersonMapper mapper;
    private final People people;
    private final Office office;

    Classes(PersonMapper mapper, People people, Office office) {
        this.mapper = mapper;
        this.people = people;
        this.office = office;
    }

    /** New person, with the one-time password to hand over. */
    public record Newcomer(String name, String signIn, String password) implements Serializable {
        private static final long serialVersionUID = 1L;
    }

    /** All of a centre by name. */
    public List<ClassRow> all(UUID centreId) {
        return mapper.classRows(centreId, People.MOST);
    }

    /** A class of this person's centre. */
    public ClassGroup one(SignedIn me, UUID classId) {
        return people.classes(me.centreId()).stream()
                .filter(group -> group.id().equals(classId))
                .findFirst()
                .orElseThrow(() -> new NotThere("class", classId, me));
    }

    /** Makes an empty class, or says why there is none. */
    @Transactional
    public Optional<Sentence> make(SignedIn me, UUID id, String name) {
        Optional<Sentence> refused = nameRefused(me, name);
        return refused.isEmpty() && mapper.insertClass(id, me.centreId(), name.strip()) == 0
                ? Optional.of(Sentence.of(TAKEN))
                : refused;
    }

    public Optional<Sentence> rename(SignedIn me, UUID classId, String name) {
        ClassGroup group = one(me, classId);
        Optional<Sentence> refused = group.name().equals(name.strip()) ? Optional.empty() : nameRefused(me, name);
        if (refused.isEmpty()) {
            try {
                mapper.renameClass(me.centreId(), classId, name.strip());
            } catch (DuplicateKeyException e) {
                return Optional.of(Sentence.of(TAKEN)); // somebody was quicker
            }
        }
        return refused;
    }

    /** Returns what is wrong with a name for a class; empty where nothing is. */
    public Optional<Sentence> nameRefused(SignedIn me, String name) {
        String plain = name.strip();
        if (plain.isEmpty() || plain.length() > LONGEST_CLASS_NAME) {
            return Optional.of(Sentence.of("classes.name", LONGEST_CLASS_NAME));
        }
        boolean taken =
                people.classes(me.centreId()).stream().anyMatch(c -> c.name().equals(plain));
        return taken ? Optional.of(Sentence.of(TAKEN)) : Optional.empty();
    }

    /** Puts an apprentice of the centre into a class. */
    @Transactional
    public void join(SignedIn me, UUID classId, UUID personId) {
        one(me, classId);
        if (mapper.insertMembers(me.centreId(), classId, List.of(personId)) == 0
                && people.classMembers(me.centreId(), classId).stream().noneMatch(p -> p.id().equals(personId))) {
            throw new NotThere("apprentice", personId, me);
        }
    }

    @Transactional
    public void leave(SignedIn me, UUID classId, UUID personId) {
        mapper.removeMember(me.centreId(), one(me, classId).id(), personId);
    }

    /** Moves people out of one class and into another. */
    @Transactional
    public void move(SignedIn me, UUID classId, UUID personId, UUID toClassId) {
        join(me, toClassId, personId);
        leave(me, classId, personId);
    }

    /** The names of a pasted text, a name a line, blanks put right. */
    public static List<String> names(String text) {
        return text.lines()
                .map(line -> line.replaceAll("[\\s\u00a0]+", " ").strip())
                .filter(name -> !name.isEmpty())
                .toList();
    }

    /** Returns what is wrong with a list of names; empty where nothing is. */
    public static Optional<Sentence> refused(List<String> names) {
        if (names.isEmpty() || names.size() > MOST_NAMES) {
            return Optional.of(Sentence.of("classes.names", names.size(), MOST_NAMES));
        }
        Set<String> seen = new LinkedHashSet<>();
        for (String name : names) {
            if (name.length() > LONGEST_NAME) {
                return Optional.of(Sentence.of("classes.name.long", name.substring(0, 40) + "…", LONGEST_NAME));
            }
            if (!seen.add(name.toLowerCase(Locale.ROOT))) {
                return Optional.of(Sentence.of("classes.name.twice", name));
            }
        }
        return Optional.empty();
    }

    /**
     * Result of adding a list of names.
     *
     * @param newcomers who was made, with a one-time password each
     * @param known who was an apprentice of the centre already and is in the class now
     */
    public record Intake(List<Newcomer> newcomers, List<String> known) {}

    /** Puts everybody of a list without fault into a class: an apprentice of that name who is there already, or somebody new. */
    public Intake add(SignedIn me, UUID classId, List<String> names) {
        one(me, classId);
        List<Newcomer> newcomers = new ArrayList<>();
        List<String> known = new ArrayList<>();
        for (String name : names) {
            Optional<UUID> there = mapper.apprenticeNamed(me.centreId(), name);
            if (there.isPresent()) {
                join(me, classId, there.get());
                known.add(name);
            } else {
                newcomers.add(newcomer(me, classId, name));
            }
        }
        return new Intake(newcomers, known);
    }

    private Newcomer newcomer(SignedIn me, UUID classId, String name) {
        String signIn = freeSignIn(name);
        UUID id = Ids.next();
        String password;
        try {
            password = office.add(me, id, Role.APPRENTICE, name, signIn);
        } catch (DuplicateKeyException e) {
            return newcomer(me, classId, name); // somebody was quicker: the next free one
        }
        join(me, classId, id);
        return new Newcomer(name, signIn, password);
    }

    /** New one-time passwords for everybody of a class. */
    public List<Newcomer> newPasswords(SignedIn me, UUID classId) {
        return people.classMembers(me.centreId(), one(me, classId).id()).stream()
                .map(p -> new Newcomer(p.displayName(), p.signIn(), office.reset(me, p.id())))
                .toList();
    }

    /** {@code b.lindqvist}, with a number behind it where somebody has that. */
    private String freeSignIn(String name) {
        String plain = Normalizer.normalize(name.toLowerCase(Locale.ROOT), Normalizer.Form.NFD)
                .replaceAll("[^a-z0-9 ]", "")
                .strip();
        String[] parts = plain.split(" +", -1);
        String last = parts[parts.length - 1];
        String wanted = parts.length > 1 && !parts[0].isEmpty() ? parts[0].charAt(0) + "." + last : last;
        String base = wanted.length() < SHORTEST_SIGN_IN ? "apprentice" : wanted;
        String cut = base.substring(0, Math.min(base.length(), LONGEST_SIGN_IN));
        String free = cut;
        for (int i = 2; people.isTaken(free); i++) {
            free = cut + i;
        }
        return free;
    }
}
