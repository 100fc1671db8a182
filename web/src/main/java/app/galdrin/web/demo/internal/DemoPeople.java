package app.galdrin.web.demo.internal;

import app.galdrin.web.account.People;
import java.util.List;
import java.util.Locale;

/** Sign-ins of the people of the demo. */
final class DemoPeople {

    /** Password of everyone in the demo; the start command prints it. */
    static final String PASSWORD = "follow the string";

    private DemoPeople() {}

    /** People who sign in by the first letter of one name and the whole of the other. */
    static List<People.NewPerson> signingIn(List<String> names) {
        return names.stream()
                .map(name -> {
                    String plain = name.toLowerCase(Locale.ROOT);
                    return new People.NewPerson(name, plain.charAt(0) + "." + plain.substring(name.indexOf(' ') + 1));
                })
                .toList();
    }
}
