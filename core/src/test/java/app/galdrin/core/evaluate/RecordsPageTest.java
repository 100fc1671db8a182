package app.galdrin.core.evaluate;

import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.core.measure.MeasuringMethod;
import app.galdrin.core.record.Contract;
import app.galdrin.core.record.CsvColumns;
import app.galdrin.core.record.Field;
import app.galdrin.core.record.FlagField;
import app.galdrin.core.record.GroupField;
import app.galdrin.core.record.ListField;
import app.galdrin.core.record.NumberField;
import app.galdrin.core.record.Range;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.RecordKinds;
import app.galdrin.core.record.Shape;
import app.galdrin.core.record.WordField;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.Locale;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * docs/records.md is written from the declarations that check the records, so it can't say anything else. After a change:
 * {@code GALDRIN_WRITE_DOCS=1 mvn -pl core test -Dtest=RecordsPageTest -Djacoco.skip=true}.
 */
class RecordsPageTest {

    private static final Path PAGE = Path.of("../docs/records.md");
    private static final String HEAD = """
            # Kinds of measurement record

            `RecordsPageTest` writes this page from the declarations that check the records. [conventions.md](conventions.md) explains fields, signs
            and errors. The formulas stand in the class of each kind. A field with `?` is optional. A figure marked `u` has a standard uncertainty
            if the input has a `u`. The last block of each section is the header of a file for `./galdrin compute --csv`. A list continues with
            `.2.`, `.3.` and so on. Optional columns may be left out.
            """;

    private final StringBuilder page = new StringBuilder(HEAD);

    @Test
    void page_saysWhatTheDeclarationsSay() throws IOException {
        RecordKinds.all().forEach(this::kind);
        if (System.getenv("GALDRIN_WRITE_DOCS") != null) {
            Files.writeString(PAGE, page);
        }
        assertEquals(Files.readString(PAGE), page.toString());
    }

    private void kind(RecordKind kind) {
        Contract contract = kind.contract();
        page.append("\n## ").append(contract.name()).append("\n");
        page.append("`").append(kind.getClass().getSimpleName()).append("`");
        if (kind instanceof MeasuringMethod method) {
            page.append("; measures ")
                    .append(sorted(
                            method.sight().sees().stream().map(s -> s.key()).toList()));
            if (!method.sight().assumes().isEmpty()) {
                page.append("; assumes ")
                        .append(sorted(method.sight().assumes().stream()
                                .map(a -> a.key())
                                .toList()));
            }
        }
        page.append("\n\n| input | | unit | allowed |\n|---|---|---|---|\n");
        rows("", contract.input(), false);
        page.append("\n| result | | unit |\n|---|---|---|\n");
        rows("", contract.result(), true);
        page.append("\n```\n")
                .append(String.join(",", CsvColumns.header(contract, 2)))
                .append("\n```\n");
    }

    private static String sorted(Collection<String> keys) {
        return keys.stream().sorted().collect(Collectors.joining(", "));
    }

    private void rows(String head, Shape shape, boolean result) {
        for (Field field : shape.fields()) {
            String path = head + field.name();
            if (field instanceof GroupField group) {
                rows(path + ".", group.shape(), result);
            } else if (field instanceof ListField list) {
                rows(path + ".N.", list.element(), result);
            } else {
                row(path, field, result);
            }
        }
    }

    private void row(String path, Field field, boolean result) {
        boolean doubt = field instanceof NumberField number && number.carriesDoubt();
        page.append("| `").append(path).append("` | ");
        page.append(field.required() ? "" : "?").append(doubt ? " u" : "").append(" | ");
        page.append(field instanceof NumberField number ? number.unit().symbol() : "");
        page.append(result ? " |" : " | " + legal(field) + " |");
        if (result && field instanceof WordField<?> word) {
            page.insert(page.length() - 1, "one of " + words(word) + " ");
        }
        page.append("\n");
    }

    private static String words(WordField<?> word) {
        return word.words().keySet().stream().map(w -> "`" + w + "`").collect(Collectors.joining(", "));
    }

    private static String legal(Field field) {
        if (field instanceof NumberField number) {
            return range(number.range());
        }
        if (field instanceof WordField<?> word) {
            return words(word);
        }
        return field instanceof FlagField ? "true, false" : "text";
    }

    private static String range(Range range) {
        String low = (range.lowestExcluded() ? "above " : "") + figure(range.lowest());
        String size = range.leastSize() > 0 ? ", at least " + figure(range.leastSize()) + " in size" : "";
        return low + " to " + figure(range.highest()) + size;
    }

    private static String figure(double value) {
        String text = Math.abs(value) >= 1e5 || (value != 0 && Math.abs(value) < 1e-3)
                ? String.format(Locale.ROOT, "%.0e", value).replace("e+0", "e").replace("e-0", "e-")
                : Double.toString(value).replaceFirst("\\.0$", "");
        return text.replace('-', '\u2212').replace("e\u2212", "e-");
    }
}
