package app.galdrin.core.simulated;

import app.galdrin.core.answer.LineText;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.sitting.WrittenValue;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A sheet that nobody keeps. */
public final class Paper implements Pen {

    private final Sheet sheet;
    private final Map<LineKey, WrittenValue> standing = new LinkedHashMap<>();

    public Paper(Sheet sheet) {
        this.sheet = sheet;
    }

    @Override
    public void write(LineKey line, String text) {
        var answer = sheet.line(line)
                .orElseThrow(() -> new IllegalArgumentException(line.key() + " is no line of the sheet"))
                .answer();
        if (!(LineText.read(text, answer) instanceof LineText.ParsedText understood)) {
            throw new IllegalArgumentException(line.key() + " does not take " + text);
        }
        standing.put(line, new WrittenValue(understood.written(), understood.value(), understood.step()));
    }

    @Override
    public Answers answers() {
        return new Answers(standing).ordered(List.copyOf(standing.keySet()));
    }
}
