package app.galdrin.web;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What something new costs is what the page says: as many files name the example. */
class CostTest {

    private static final Pattern ROW = Pattern.compile("\\| [^|]+ \\| `([a-zA-Z]+)` \\| ([0-9]+) \\|.*");
    private static final List<Path> MAIN =
            List.of(Path.of("../core/src/main"), Path.of("src/main"), Path.of("../compute/src/main"));

    static Stream<Arguments> rows() throws IOException {
        return Files.readAllLines(Path.of("../docs/adding-a-method.md")).stream()
                .map(ROW::matcher)
                .filter(row -> row.matches())
                .map(row -> Arguments.of(row.group(1), Integer.valueOf(row.group(2))));
    }

    @ParameterizedTest
    @MethodSource("rows")
    void asManyFiles_nameTheExample_asThePageSays(String example, int files) throws IOException {
        var word = Pattern.compile("\\b" + example + "\\b").asPredicate();
        List<String> naming = example.equals("wheelNuts")
                ? naming(
                                List.of(Path.of("src/test")),
                                text -> text.toLowerCase(Locale.ROOT).contains("wheelnuts"))
                        .stream()
                        .filter(name -> !name.endsWith("Test.java"))
                        .toList()
                : naming(MAIN, word);
        assertEquals(files, naming.size(), naming::toString);
    }

    private static List<String> naming(List<Path> roots, Predicate<String> isNamed) throws IOException {
        Stream<String> all = Stream.of();
        for (Path root : roots) {
            try (Stream<Path> files = Files.walk(root)) {
                all = Stream.concat(
                        all,
                        files
                                .filter(Files::isRegularFile)
                                .filter(file -> isNamed.test(read(file)))
                                .map(Path::toString)
                                .toList()
                                .stream());
            }
        }
        return all.toList();
    }

    private static String read(Path file) {
        try {
            return Files.readString(file, StandardCharsets.ISO_8859_1);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }
}
