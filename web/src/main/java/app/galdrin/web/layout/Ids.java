package app.galdrin.web.layout;

import com.fasterxml.uuid.Generators;
import com.fasterxml.uuid.impl.TimeBasedEpochGenerator;
import java.util.UUID;

/** Ids of rows: UUIDs of version 7, so that new rows lie together in their index. */
public final class Ids {

    private static final TimeBasedEpochGenerator GENERATOR = Generators.timeBasedEpochGenerator();

    private Ids() {}

    public static UUID next() {
        return GENERATOR.generate();
    }
}
