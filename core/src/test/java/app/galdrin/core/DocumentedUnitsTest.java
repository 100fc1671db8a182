package app.galdrin.core;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ModifiersTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.DocTrees;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreePathScanner;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A number without its unit is how a degree becomes a radian: whatever of the core others can call and takes or gives a number says in
 * its Javadoc in which unit. The sources themselves are read.
 */
class DocumentedUnitsTest {

    private static final Path SOURCES = Path.of("src/main/java");
    private static final Pattern NUMBER = Pattern.compile(
            "\\b(double|Double|OptionalDouble|\\w*To?Double\\w*|Double\\w+Operator|DoubleStream|Dual|Estimate)\\b");
    private static final Pattern UNIT = Pattern.compile(
            "\\b(rad|mm|deg|degrees?|minutes|turns?|units?|without unit|share|0 to 1|factor|ratio|percent|marks|count)\\b|[°%π]|N·m");

    private static List<String> undocumented(List<Path> files) throws IOException {
        var compiler = ToolProvider.getSystemJavaCompiler();
        try (var manager = compiler.getStandardFileManager(null, null, null)) {
            var task = (JavacTask) compiler.getTask(
                    null, manager, null, List.of("-proc:none"), null, manager.getJavaFileObjectsFromPaths(files));
            var found = new Undocumented(DocTrees.instance(task));
            for (CompilationUnitTree file : task.parse()) {
                found.scan(file, null);
            }
            assertTrue(found.looked > 0, "there are numbers to look at");
            return found.all;
        }
    }

    private static final class Undocumented extends TreePathScanner<Void, Void> {
        private final DocTrees docs;
        private final List<String> all = new ArrayList<>();
        private int looked;

        Undocumented(DocTrees docs) {
            this.docs = docs;
        }

        private static boolean isPublic(ModifiersTree modifiers, Tree within) {
            return modifiers.getFlags().contains(Modifier.PUBLIC)
                    || within instanceof ClassTree type
                            && type.getKind() == Tree.Kind.INTERFACE
                            && !modifiers.getFlags().contains(Modifier.PRIVATE);
        }

        private Tree within() {
            return getCurrentPath().getParentPath().getLeaf();
        }

        @Override
        public Void visitClass(ClassTree type, Void nothing) {
            if (!isPublic(type.getModifiers(), within())) {
                return null;
            }
            boolean numbers = type.getKind() == Tree.Kind.RECORD
                    && type.getMembers().stream()
                            .filter(VariableTree.class::isInstance)
                            .map(VariableTree.class::cast)
                            .filter(v -> !v.getModifiers().getFlags().contains(Modifier.STATIC))
                            .anyMatch(
                                    v -> NUMBER.matcher(v.getType().toString()).find());
            if (numbers) {
                look(type.getSimpleName().toString());
            }
            return super.visitClass(type, nothing);
        }

        @Override
        public Void visitMethod(MethodTree method, Void nothing) {
            boolean overrides = method.getModifiers().getAnnotations().stream()
                    .anyMatch(a -> a.getAnnotationType().toString().equals("Override"));
            boolean ofRecord = method.getReturnType() == null
                    && within().getKind() == Tree.Kind.RECORD
                    && method.getModifiers().getFlags().contains(Modifier.PUBLIC);
            String signature = method.getReturnType() + " " + method.getParameters();
            if (isPublic(method.getModifiers(), within())
                    && !overrides
                    && !ofRecord
                    && NUMBER.matcher(signature).find()) {
                look(((ClassTree) within()).getSimpleName() + "." + method.getName() + "(" + method.getParameters()
                        + ")");
            }
            return null;
        }

        private void look(String what) {
            looked++;
            String said = docs.getDocComment(getCurrentPath());
            if (said == null || !UNIT.matcher(said).find()) {
                all.add(what);
            }
        }
    }

    @Test
    void everyNumberOfTheCore_hasItsUnit() throws IOException {
        try (Stream<Path> files = Files.walk(SOURCES)) {
            assertEquals(
                    List.of(),
                    undocumented(
                            files.filter(f -> f.toString().endsWith(".java")).toList()));
        }
    }

    /** The check itself: what it lets through and what it does not. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "public class C { public double bare() { return 0; } }",
                "public class C { /** Some toe. */ public void take(double toe) {} }",
                "public interface C { double bare(); }",
                "/** A reading. */ public record C(double value) {}",
                "public class C { public void take(java.util.OptionalDouble toe) {} }"
            })
    void aBareNumber_isFound(String source) throws IOException {
        assertEquals(1, undocumented(List.of(file(source))).size(), source);
        String said = source.replace("public double", "/** In rad. */ public double")
                .replace("{ double", "{ /** In rad. */ double")
                .replace("Some toe", "Some toe, rad")
                .replace("A reading", "A reading, mm")
                .replace("public void take(java", "/** Rad. */ /** In rad. */ public void take(java");
        assertEquals(List.of(), undocumented(List.of(file(said))), said);
    }

    private static Path file(String source) throws IOException {
        Path folder = Files.createTempDirectory("units");
        return Files.writeString(folder.resolve("C.java"), source);
    }
}
