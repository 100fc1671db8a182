package app.galdrin.core.procedure;

import java.util.List;

/** Some slips. A class that says {@code @AutoService(SlipList.class)} is heard; nothing else lists them. */
public interface SlipList {
    List<Slip> slips();
}
