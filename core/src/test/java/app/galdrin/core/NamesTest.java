package app.galdrin.core;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Holds the names in the sources of all modules: types are nouns of the field, and the glossary names types that exist. */
class NamesTest {

    private static final Pattern TYPE =
            Pattern.compile("(?m)^ *(?:[a-z-]+ )*(?:class|record|@?interface|enum) ([A-Z]\\w*)");

    private static final Pattern TEXT_OR_COMMENT =
            Pattern.compile("(?s)\"\"\".*?\"\"\"|\"(?:[^\"\\\\\n]|\\\\.)*\"|'(?:[^'\\\\]|\\\\.)'|/\\*.*?\\*/|//[^\n]*");

    /** A name that is not called and belongs to nothing: a variable, a parameter or a component. */
    private static final Pattern RIDDLE = Pattern.compile("(?<![\\w.:])(?:this\\.)?(of|by|told)\\b(?!\\s*\\()");

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

    /** A comment of the documentation that opens with a clause, a preposition or a pronoun. */
    private static final Pattern RIDDLING_OPENING = Pattern.compile(
            "/\\*\\*[\\s*]+(?:After|Also|Among|Anything|As|At|Because|Before"
                    + "|Behind|Beside|Between|Both|By|Either|Even|Everybody|Everything|For|From|Here|How|If|In|Into|It|Less|Likewise|Most|Neither"
                    + "|Nobody|Nor|Not|Nothing|Now|Of|On|Once|Only|Out|Over|Since|So|Somebody|Something|Still|That|Then|There|They|This|Those|Though"
                    + "|To|Under|Until|What|Whatever|When|Where|Whether|Which|Whichever|Who|Whoever|Whom|Whose|Why|With|Within|Without|Yet)\\b");

    /** The sources under a folder of every module, by path. */
    private static Map<Path, String> sources(String folder) throws IOException {
        Map<Path, String> sources = new TreeMap<>();
        for (String module : List.of("core", "web", "compute")) {
            try (Stream<Path> files = Files.walk(Path.of("..", module, folder))) {
                for (Path file :
                        files.filter(f -> f.toString().endsWith(".java")).toList()) {
                    sources.put(file, Files.readString(file));
                }
            }
        }
        return sources;
    }

    private static Set<String> types() throws IOException {
        Set<String> types = new TreeSet<>();
        sources("src/main/java")
                .values()
                .forEach(source -> TYPE.matcher(source).results().forEach(m -> types.add(m.group(1))));
        return types;
    }

    /** Returns the riddles among the names of a source. */
    private static Set<String> riddles(String source) {
        String code = TEXT_OR_COMMENT.matcher(source).replaceAll("\"\"");
        return RIDDLE.matcher(code).results().map(m -> m.group(1)).collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void variables_sayWhatTheyHold() throws IOException {
        Map<Path, String> sources = new TreeMap<>(sources("src/main/java"));
        sources.putAll(sources("src/test/java"));
        Map<Path, Set<String>> found = new TreeMap<>();
        sources.forEach((file, source) -> found.put(file, riddles(source)));
        found.values().removeIf(Set::isEmpty);
        assertEquals(Map.of(), found);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "int of = 1;|of",
                "f(by);|by",
                "this.told = x;|told",
                "List.of(1);|",
                "x.by();|",
                "List::of|",
                "// the mean of two|",
                "say(\"of\");|",
                "static T of(int a)|"
            })
    void aRiddle_isFound(String line, @Nullable String name) {
        assertEquals(name == null ? Set.of() : Set.of(name), riddles(line));
    }

    @Test
    void documentation_opensWithAVerbOrANoun() throws IOException {
        Map<Path, List<String>> found = new TreeMap<>();
        sources("src/main/java")
                .forEach((file, source) -> found.put(
                        file,
                        RIDDLING_OPENING
                                .matcher(source)
                                .results()
                                .map(MatchResult::group)
                                .toList()));
        assertTrue(found.size() > 500, "sources are found: " + found.size());
        found.values().removeIf(List::isEmpty);
        assertEquals(Map.of(), found);
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
