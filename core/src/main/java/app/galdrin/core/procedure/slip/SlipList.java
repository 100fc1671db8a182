package app.galdrin.core.procedure.slip;

import java.util.List;

/** Some slips. A class that says {@code @AutoService(SlipList.class)} is heard; nothing else lists them. */
public interface SlipList {
    /** Returns the slips. */
    List<Slip> slips();
}
