package app.galdrin.core.procedure;

import java.util.List;

/** The procedures of a family. A class with {@code @AutoService(ProcedureList.class)} registers its procedures; nothing else lists them. */
public interface ProcedureList {
    /** Returns the procedures. */
    List<Procedure> procedures();
}
