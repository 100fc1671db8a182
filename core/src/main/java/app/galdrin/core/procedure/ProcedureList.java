package app.galdrin.core.procedure;

import java.util.List;

/** The procedures of a family. A class that says {@code @AutoService(ProcedureList.class)} is heard; nothing else lists them. */
public interface ProcedureList {
    /** Returns the procedures. */
    List<Procedure> procedures();
}
