package app.galdrin.web;

import static org.junit.jupiter.api.Assertions.assertEquals;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.dependencies.SliceAssignment;
import com.tngtech.archunit.library.dependencies.SliceIdentifier;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.modulith.core.ApplicationModules;

/** What must hold of the tree as a whole. */
class ModulesTest {

    @Test
    void featuresUseOneAnother_onlyThroughTheirPublicTypes_andInOneDirection() {
        ApplicationModules.of(GaldrinApplication.class).verify();
    }

    /** Nothing comes round to itself: what a package uses never uses it. */
    @ParameterizedTest
    @ValueSource(strings = {"app.galdrin.core", "app.galdrin.web"})
    void packages_haveNoCircles(String root) {
        var classes = new ClassFileImporter()
                .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                .importPackages(root);
        SlicesRuleDefinition.slices()
                .matching(root + ".(**)")
                .should()
                .beFreeOfCycles()
                .check(classes);
    }

    /** A service and its mapper share rows that are files of their own. */
    @ParameterizedTest
    @ValueSource(strings = {"app.galdrin.core", "app.galdrin.web"})
    void files_haveNoCircles(String root) {
        var classes = new ClassFileImporter()
                .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                .importPackages(root);
        SlicesRuleDefinition.slices()
                .assignedFrom(new FileOfClass())
                .should()
                .beFreeOfCycles()
                .check(classes);
    }

    /** The file of a class. A sealed type counts as one with its kinds; so do a record's shape and its fields, a task and its steps. */
    private static final class FileOfClass implements SliceAssignment {

        private static final Map<String, Set<String>> BOUND = Map.of(
                "app.galdrin.core.record", Set.of("Field", "Shape", "Input"),
                "app.galdrin.core.task",
                        Set.of(
                                "Step",
                                "StepKind",
                                "Measure",
                                "Work",
                                "HandIn",
                                "Practical",
                                "Assignment",
                                "Comparison",
                                "ExpectedUncertainty",
                                "Target",
                                "UsualBands"));

        @Override
        public SliceIdentifier getIdentifierOf(JavaClass type) {
            JavaClass outer = type;
            while (outer.getEnclosingClass().isPresent()) {
                outer = outer.getEnclosingClass().get();
            }
            Class<?> file = sealed(outer.reflect());
            boolean isBound =
                    BOUND.getOrDefault(file.getPackageName(), Set.of()).contains(file.getSimpleName());
            return SliceIdentifier.of(isBound ? file.getPackageName() : file.getName());
        }

        private static Class<?> sealed(Class<?> file) {
            return Arrays.stream(file.getInterfaces())
                    .filter(Class::isSealed)
                    .findFirst()
                    .orElse(file);
        }

        @Override
        public String getDescription() {
            return "files";
        }
    }

    /** A content security policy without 'unsafe-inline' drops these silently. */
    @Test
    void templates_haveNoInlineStyleOrScript() throws IOException {
        var inline = Pattern.compile("\\sstyle=|<style|<script(?![^>]*src)|\\son[a-z]+=|javascript:");
        assertEquals(
                List.of(),
                templates()
                        // a drawing handed out as a file, or drawn on a page of paper, carries its strokes' styles with
                        // it
                        .filter(path -> !path.endsWith(Path.of("procedure", "svg.html")))
                        .filter(path -> !path.getParent().endsWith("papers"))
                        .filter(path -> inline.matcher(read(path)).find())
                        .map(Path::toString)
                        .toList());
    }

    @Test
    void wordsThatTemplatesName_areThere() throws IOException {
        var words = new Properties();
        for (Path file : files("messages", ".properties")) {
            words.load(Files.newBufferedReader(file, StandardCharsets.UTF_8));
        }
        var named = Pattern.compile("#\\{([a-zA-Z][a-zA-Z0-9.-]*)[}(]");
        var missing = new TreeSet<String>();
        templates()
                .forEach(path -> named.matcher(read(path))
                        .results()
                        .map(match -> match.group(1))
                        .filter(key -> !words.containsKey(key))
                        .forEach(key -> missing.add(path.getFileName() + ": " + key)));
        assertEquals(new TreeSet<>(), missing);
    }

    private static Stream<Path> templates() throws IOException {
        return files("templates", ".html").stream();
    }

    private static List<Path> files(String folder, String ending) throws IOException {
        try (var all = Files.walk(Path.of("src/main/resources", folder))) {
            return all.filter(p -> p.toString().endsWith(ending)).toList();
        }
    }

    private static String read(Path path) {
        try {
            return Files.readString(path);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }
}
