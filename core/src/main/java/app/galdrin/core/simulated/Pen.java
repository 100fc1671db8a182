package app.galdrin.core.simulated;

import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;

/** Pen of a simulated person, which also shows what stands. */
public interface Pen {

    /** Writes on a line as a person types it, over what stands there. */
    void write(LineKey line, String text);

    /** Returns what stands. */
    Answers answers();
}
