package app.galdrin.web.account;

import app.galdrin.core.quantity.AngleDisplay;
import app.galdrin.core.quantity.LengthDisplay;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** People, classes and centres. */
@Mapper
interface PersonMapper {

    boolean anyone();

    @Nullable
    SignedIn bySignIn(String signIn);

    @Nullable
    SignedIn byId(UUID centreId, UUID personId);

    List<Person> all(UUID centreId, int most);

    List<ClassGroup> classes(UUID centreId, int most);

    List<Person> classMembers(UUID centreId, UUID classId, int most);

    void insertCentre(UUID id, String name, String zone);

    void show(UUID centreId, LengthDisplay lengths, AngleDisplay angles);

    void insert(UUID id, UUID centreId, Role role, String displayName, String signIn, @Nullable String passwordHash);

    void insertClass(UUID id, UUID centreId, String name);

    /** Apprentices of the centre alone; how many they are. */
    int insertMembers(UUID centreId, UUID classId, List<UUID> members);
}
