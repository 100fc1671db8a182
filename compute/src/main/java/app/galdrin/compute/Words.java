package app.galdrin.compute;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import java.text.MessageFormat;
import java.util.EnumMap;
import java.util.Map;
import java.util.ResourceBundle;

/** The sentences of the command. */
final class Words {

    static final ResourceBundle MESSAGES = ResourceBundle.getBundle("app.galdrin.compute.messages");

    /** Stands for the field in a sentence that is made once and used for a million records. */
    private static final String FIELD = "\0";

    private static final Map<FaultCode, String> OF_FAULTS = new EnumMap<>(FaultCode.class);

    static {
        for (FaultCode code : FaultCode.values()) {
            OF_FAULTS.put(code, of(code.key(), FIELD));
        }
    }

    private Words() {}

    static String of(String key, Object... arguments) {
        return MessageFormat.format(MESSAGES.getString(key), arguments);
    }

    static String ofFault(Fault fault) {
        return OF_FAULTS
                .getOrDefault(fault.code(), "")
                .replace(FIELD, fault.field().orElse(""));
    }
}
