package app.galdrin.core.procedure.slip;

import java.util.List;

/** Some slips. A class with {@code @AutoService(SlipList.class)} registers its slips; nothing else lists them. */
public interface SlipList {
    /** Returns the slips. */
    List<Slip> slips();
}
