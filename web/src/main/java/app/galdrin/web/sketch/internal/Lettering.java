package app.galdrin.web.sketch.internal;

import app.galdrin.web.sketch.Box;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Properties;

/**
 * Measures the room that words take on a drawing, by the English of the messages. A centre's own term may be a few letters longer: the figures are
 * on the safe side.
 */
final class Lettering {

    private static final double SIZE = 11.5;
    private static final double NAME_SIZE = 12.5;

    /** Shares of the size: the widest letters of the face on an average, bold ones, and what stands above and below the base line. */
    private static final double WIDE = 0.57;

    private static final double BOLD = 0.64;
    private static final double ABOVE = 0.8;
    private static final double BELOW = 0.26;

    /** Text that is filled in where words have a place for it: the name of a wheel. */
    private static final String FILLED = "right front";

    private static final Properties WORDS = words();

    private Lettering() {}

    private static Properties words() {
        var words = new Properties();
        try (InputStream in = Lettering.class.getResourceAsStream("/messages/sketch.properties")) {
            if (in == null) {
                throw new IllegalStateException("no words for drawings");
            }
            Reader reader = new InputStreamReader(in, StandardCharsets.UTF_8);
            words.load(reader);
            return words;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The room of words set at a point, by where their middle, start or end is. */
    static Box room(String style, double x, double y, String anchor, String words) {
        String text = WORDS.getProperty(words, words).replace("{0}", FILLED).replace("''", "'");
        boolean name = style.equals("view-name");
        double size = name ? NAME_SIZE : SIZE;
        double width = text.length() * size * (name ? BOLD : WIDE);
        double left = switch (anchor) {
            case "middle" -> x - width / 2;
            case "end" -> x - width;
            default -> x;
        };
        return new Box(left, y - ABOVE * size, width, (ABOVE + BELOW) * size);
    }
}
