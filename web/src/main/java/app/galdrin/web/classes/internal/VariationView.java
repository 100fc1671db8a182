package app.galdrin.web.classes.internal;

import java.util.List;

/**
 * One figure's spread, drawn and said.
 *
 * @param from the measurement it comes from, by its title
 * @param bars one a source; none where there is too little to split
 * @param lines sentences
 * @param width of the drawing in its own units; {@code height} likewise
 */
public record VariationView(String name, String from, List<Bar> bars, List<String> lines, double width, double height) {

    /**
     * A source's bar.
     *
     * @param y of its upper edge; {@code length} from the left end
     * @param share of the whole variance, whole percent
     * @param said its standard deviation with its unit
     */
    public record Bar(String key, String name, double y, double length, long share, String said) {}
}
