package app.galdrin.core;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Types are nouns of the field: the sources of all modules are read, and what the glossary names is there. */
class NamesTest {

    private static final Pattern TYPE =
            Pattern.compile("(?m)^ *(?:[a-z-]+ )*(?:class|record|@?interface|enum) ([A-Z]\\w*)");

    private static final Pattern TERM = Pattern.compile("(?m)^\\| [^|]+ \\| [^|]+ \\| `(\\w+)` \\|");

    /** Participles, prepositions and pronouns that were types once, and their like. */
    private static final Set<String> NO_NOUNS = Set.of("""
            Adjusted Answered Asked At Bound By Calculated Changed Chosen Compared Corrected Done Dotted Drawn Expected
            Failed Filled Fixed Found From Gated Given Grouped How In Judged Kept Known Laid Left Lettered Made Measured
            Missing Moved Named Noted Of Off On Once One Other Outdated Own Planned Prepared Printed Put Read Refused
            Rejected Released Said Sampled Sat Seen Shown Signed Slipped Slowly Standing Stopped Stored Taken Telling To
            Told Trained Tried Understood Unlike Used Wanted What When Where Who Whole Whose Why With Witnessed Worked
            Written Wrote
            """.strip().split("\\s+"));

    private static Set<String> types() throws IOException {
        Set<String> types = new TreeSet<>();
        for (String module : List.of("core", "web", "compute")) {
            try (Stream<Path> files = Files.walk(Path.of("..", module, "src/main/java"))) {
                for (Path file :
                        files.filter(f -> f.toString().endsWith(".java")).toList()) {
                    TYPE.matcher(Files.readString(file)).results().forEach(m -> types.add(m.group(1)));
                }
            }
        }
        return types;
    }

    @Test
    void types_areNouns() throws IOException {
        Set<String> types = types();
        assertTrue(types.size() > 500, "types are found: " + types.size());
        assertEquals(Set.of(), types.stream().filter(NO_NOUNS::contains).collect(Collectors.toSet()));
    }

    @Test
    void theGlossary_namesTypesThatThereAre() throws IOException {
        Matcher terms = TERM.matcher(Files.readString(Path.of("../docs/glossary.md")));
        Set<String> named = terms.results().map(m -> m.group(1)).collect(Collectors.toCollection(TreeSet::new));
        assertTrue(named.size() > 30, "terms are found: " + named.size());
        named.removeAll(types());
        assertEquals(Set.of(), named);
    }
}
