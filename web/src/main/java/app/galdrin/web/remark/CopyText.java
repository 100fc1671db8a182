package app.galdrin.web.remark;

import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;

/** Rows as PostgreSQL's COPY reads them: columns between tabs, what would be read as more than it is escaped. */
final class CopyText {

    private final StringBuilder text = new StringBuilder(1 << 16);
    private boolean begun;

    CopyText column(@Nullable Object value) {
        if (begun) {
            text.append('\t');
        }
        begun = true;
        if (value == null) {
            text.append("\\N");
        } else {
            escaped(value.toString());
        }
        return this;
    }

    private void escaped(String value) {
        for (int i = 0; i < value.length(); i++) {
            char c = value.charAt(i);
            switch (c) {
                case '\\' -> text.append("\\\\");
                case '\t' -> text.append("\\t");
                case '\n' -> text.append("\\n");
                case '\r' -> text.append("\\r");
                default -> text.append(c);
            }
        }
    }

    void end() {
        text.append('\n');
        begun = false;
    }

    byte[] bytes() {
        return text.toString().getBytes(StandardCharsets.UTF_8);
    }
}
