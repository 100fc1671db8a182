package app.galdrin.core;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.sun.source.doctree.DocCommentTree;
import com.sun.source.doctree.DocTree;
import com.sun.source.doctree.ParamTree;
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
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A number without its unit is how a degree becomes a radian: whatever of the core others can call says in its Javadoc the unit of the number it
 * gives, and in the {@code @param} of each number it takes the unit of that. The sources themselves are read.
 */
class DocumentedUnitsTest {

    private static final Path SOURCES = Path.of("src/main/java");
    private static final Pattern NUMBER = Pattern.compile(
            "\\b(double|Double|OptionalDouble|\\w*To?Double\\w*|Double\\w+Operator|DoubleStream|Dual|Estimate)\\b");

    /** A number, or some of them. */
    private static final Pattern TAKEN = Pattern.compile(
            "double|Double|OptionalDouble|double\\[]|(Optional|List)<Double>|(List<)?Map<\\w+, Double>>?");

    /** Of a hundred public methods so many may go without a word: those whose name says it all. */
    private static final int MOST_SILENT = 10;

    private static final Pattern UNIT = Pattern.compile(
            "\\b(rad|mm|kg|kPa|deg|degrees?|minutes|turns?|units?|without unit|share|0 to 1|factor|ratio|percent|marks|count)\\b|[°%π]|N·m");

    private static Undocumented looked(List<Path> files) throws IOException {
        var compiler = ToolProvider.getSystemJavaCompiler();
        try (var manager = compiler.getStandardFileManager(null, null, null)) {
            var task = (JavacTask) compiler.getTask(
                    null, manager, null, List.of("-proc:none"), null, manager.getJavaFileObjectsFromPaths(files));
            var found = new Undocumented(DocTrees.instance(task));
            for (CompilationUnitTree file : task.parse()) {
                found.scan(file, null);
            }
            assertTrue(found.looked > 0, "there are numbers to look at");
            return found;
        }
    }

    private static List<String> undocumented(List<Path> files) throws IOException {
        return looked(files).all;
    }

    private static List<Path> sources() throws IOException {
        try (Stream<Path> files = Files.walk(SOURCES)) {
            return files.filter(f -> f.toString().endsWith(".java")).toList();
        }
    }

    private static final class Undocumented extends TreePathScanner<Void, Void> {
        private final DocTrees docs;
        private final List<String> all = new ArrayList<>();
        private int looked;
        private int methods;
        private int silent;

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
                lookAtEach(
                        type.getSimpleName().toString(),
                        type.getMembers().stream()
                                .filter(VariableTree.class::isInstance)
                                .map(VariableTree.class::cast)
                                .filter(v -> !v.getModifiers().getFlags().contains(Modifier.STATIC))
                                .toList());
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
            if (!isPublic(method.getModifiers(), within()) || overrides || ofRecord) {
                return null;
            }
            methods++;
            silent += docs.getDocComment(getCurrentPath()) == null ? 1 : 0;
            String name = ((ClassTree) within()).getSimpleName() + "." + method.getName() + "(" + method.getParameters()
                    + ")";
            if (NUMBER.matcher(method.getReturnType() + " " + method.getParameters())
                    .find()) {
                look(name);
            }
            lookAtEach(name, method.getParameters());
            return null;
        }

        /** Each number among these has its own words with its unit. */
        private void lookAtEach(String what, List<? extends VariableTree> taken) {
            DocCommentTree said = docs.getDocCommentTree(getCurrentPath());
            Map<String, String> params = new HashMap<>();
            if (said != null) {
                for (DocTree tag : said.getBlockTags()) {
                    if (tag instanceof ParamTree param) {
                        params.put(
                                param.getName().toString(),
                                param.getDescription().toString());
                    }
                }
            }
            for (VariableTree one : taken) {
                String name = one.getName().toString();
                if (TAKEN.matcher(one.getType().toString()).matches()
                        && !UNIT.matcher(params.getOrDefault(name, "")).find()) {
                    all.add(what + " @param " + name);
                }
            }
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
        assertEquals(List.of(), undocumented(sources()));
    }

    @Test
    void nearlyEveryPublicMethodOfTheCore_saysWhatItDoes() throws IOException {
        Undocumented found = looked(sources());
        assertTrue(100 * found.silent <= MOST_SILENT * found.methods, found.silent + " of " + found.methods);
    }

    /** The check itself: what it lets through and what it does not. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "public class C { public double bare() { return 0; } }",
                "public class C { /** Some toe. */ public void take(double toe) {} }",
                "public interface C { double bare(); }",
                "/** A reading. */ public record C(double value) {}",
                "public class C { public void take(OptionalDouble toe) {} }",
                "public class C { /** Rad. */ public void take(double toe) {} }",
                "public class C { /** Rad.\n@param toe rad\n*/ public void take(double toe, List<Double> more) {} }",
                "public class C { /** Rad. */ public void take(Map<String, Double> toes) {} }"
            })
    void aBareNumber_isFound(String source) throws IOException {
        assertFalse(undocumented(List.of(file(source))).isEmpty(), source);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "public class C { /** In rad. */ public double said() { return 0; } }",
                "public class C { /** Rad.\n@param toe rad\n*/ public void take(double toe) {} }",
                "public interface C { /** In rad. */ double said(); }",
                "/** A reading.\n@param value mm\n*/ public record C(double value) {}",
                "public class C { /** Takes.\n@param toes rad by wheel\n*/ public void take(Map<String, Double> toes) {} }"
            })
    void aNumberWithItsUnit_isLetThrough(String source) throws IOException {
        assertEquals(List.of(), undocumented(List.of(file(source))), source);
    }

    private static Path file(String source) throws IOException {
        Path folder = Files.createTempDirectory("units");
        return Files.writeString(folder.resolve("C.java"), source);
    }
}
