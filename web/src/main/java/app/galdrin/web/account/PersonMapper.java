package app.galdrin.web.account;

import app.galdrin.core.quantity.AngleDisplay;
import app.galdrin.core.quantity.LengthDisplay;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** People, classes and centres. */
@Mapper
interface PersonMapper {

    boolean anyone();

    @Nullable
    PersonRow bySignIn(String signIn);

    /** Returns a person with the end of the opening, if one is named. */
    @Nullable
    PersonRow present(UUID centreId, UUID personId, @Nullable UUID openingId);

    @Nullable
    Person one(UUID centreId, UUID personId);

    @Nullable
    String hash(UUID centreId, UUID personId);

    UUID lockCentre(UUID centreId);

    boolean hasOffice(UUID centreId);

    int activate(UUID centreId, UUID personId, boolean active);

    int giveRole(UUID centreId, UUID personId, Role role);

    /**
     * Ends the person's sessions with the old password.
     *
     * @param hours how long it holds; null for good
     * @param instead the hash that must still be there; null for any
     */
    int setPassword(
            UUID centreId,
            UUID personId,
            @Nullable String hash,
            boolean oneTime,
            @Nullable Integer hours,
            @Nullable String instead);

    String lockFirstRun();

    int offerSetUpCode(String code);

    @Nullable
    String setUpCode();

    void dropSetUpCode();

    List<Person> all(UUID centreId, int most);

    List<ClassGroup> classes(UUID centreId, int most);

    List<Person> classMembers(UUID centreId, UUID classId, int most);

    void insertCentre(UUID id, String name, String zone);

    void show(UUID centreId, LengthDisplay lengths, AngleDisplay angles);

    /** @param hours how long the password holds; null for good */
    void insert(
            UUID id,
            UUID centreId,
            Role role,
            String displayName,
            String signIn,
            @Nullable String hash,
            boolean oneTime,
            @Nullable Integer hours);

    boolean knowsDevice(String signIn, String device, int days);

    void rememberDevice(UUID centreId, UUID personId, String device, int stamp);

    void forgetDevices(UUID centreId, UUID personId, int most);

    int rename(UUID centreId, UUID personId, String displayName);

    /** @param nameInstead what stands in the name's place, before a number */
    int erase(UUID centreId, UUID personId, UUID eraserId, String nameInstead);

    List<ClassRow> classRows(UUID centreId, int most);

    void renameClass(UUID centreId, UUID classId, String name);

    void removeMember(UUID centreId, UUID classId, UUID personId);

    /** An apprentice who is let in, of this very name; capitals do not count, and of several the first who was made. */
    Optional<UUID> apprenticeNamed(UUID centreId, String name);

    /** Adds a class, or nothing where the name is taken; returns the number of rows. */
    int insertClass(UUID id, UUID centreId, String name);

    /** Apprentices of the centre alone; how many they are. */
    int insertMembers(UUID centreId, UUID classId, List<UUID> members);
}
