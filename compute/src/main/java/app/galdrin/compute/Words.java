package app.galdrin.compute;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import java.text.MessageFormat;
import java.util.EnumMap;
import java.util.Map;
import java.util.ResourceBundle;

/** The sentences of the commands. */
final class Words {

    static final ResourceBundle MESSAGES = ResourceBundle.getBundle("app.galdrin.compute.messages");

    /** Help text of {@code galdrin mark}. */
    static final ResourceBundle MARK = ResourceBundle.getBundle("app.galdrin.compute.mark");

    /** Help text of {@code galdrin prove}, and the names of what it counts. */
    static final ResourceBundle PROVE = ResourceBundle.getBundle("app.galdrin.compute.prove");

    /** The sentences on faults, made once and used for a million records: the pieces between which the field stands. */
    private static final Map<FaultCode, String[]> OF_FAULTS = new EnumMap<>(FaultCode.class);

    static {
        for (FaultCode code : FaultCode.values()) {
            OF_FAULTS.put(code, of(code.key(), "\0").split("\0", -1));
        }
    }

    private Words() {}

    static String of(String key, Object... arguments) {
        return MessageFormat.format(MESSAGES.getString(key), arguments);
    }

    /** Says what is wrong with a pack or a sitting: what was read, why it cannot be right, and what to do. */
    static String ofSitting(Fault fault) {
        String key = "sitting." + fault.code().key() + (fault.field().isEmpty() ? ".line" : "");
        return of(
                MESSAGES.containsKey(key) ? key : fault.code().key(),
                fault.field().orElse(""),
                fault.read().orElse(""));
    }

    static String ofFault(Fault fault) {
        return String.join(fault.field().orElse(""), OF_FAULTS.get(fault.code()));
    }
}
