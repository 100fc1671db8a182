package app.galdrin.core.equipment;

import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.CatalogueInstrument.Surface;
import app.galdrin.core.uncertainty.DoubtSource;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ObjDoubleConsumer;

/**
 * The equipment that readings were taken with: one piece of each kind at most. Of a kind without a piece the catalogue's figures and the usual
 * lengths hold, exact, as they did before equipment was kept.
 *
 * @param tools by the key of their kind
 */
public record Kit(Map<String, Tool> tools) {

    /** Kit with everything as usual. */
    public static final Kit USUAL = new Kit(Map.of());

    public Kit {
        tools = Map.copyOf(tools);
    }

    /** Returns the kit of these pieces, each of another kind. */
    public static Kit of(List<Tool> pieces) {
        Map<String, Tool> byKind = new LinkedHashMap<>();
        pieces.forEach(piece -> byKind.put(piece.kind().key(), piece));
        return new Kit(byKind);
    }

    private Optional<Tool> tool(String kind) {
        return Optional.ofNullable(tools.get(kind));
    }

    /** Smallest step that an instrument shows, mm or rad. */
    public double resolution(CatalogueInstrument instrument) {
        return tool(instrument.key()).map(Tool::resolution).orElse(instrument.resolution());
    }

    /** Standard uncertainty of one reading in trained hands from a surface, mm or rad; without what all readings with the piece share. */
    public double standardUncertainty(CatalogueInstrument instrument, Surface surface) {
        return instrument.standardUncertainty(surface, resolution(instrument));
    }

    /**
     * Returns a reading without what its instrument shows too much.
     *
     * @param shown mm or deg, with its sign
     * @param sign 1, −1 or 0: how the offset stands in the reading
     */
    public double corrected(CatalogueInstrument instrument, double shown, int sign) {
        double offset = tool(instrument.key()).map(Tool::offset).orElse(0.0);
        return offset == 0 ? shown : shown - sign * instrument.quantity().toDocument(offset);
    }

    /**
     * Passes on what all readings with an instrument share: its source and one standard uncertainty of it, mm or rad.
     *
     * @param factor without unit: what one reading counts
     */
    public void parts(CatalogueInstrument instrument, double factor, ObjDoubleConsumer<DoubtSource> each) {
        tool(instrument.key())
                .filter(tool -> factor != 0 && tool.standardUncertainty() > 0)
                .ifPresent(tool -> each.accept(tool.source(), factor * tool.standardUncertainty()));
    }

    /** A length of the equipment, mm. */
    public double length(ToolLength length) {
        return certified(length).map(CertifiedLength::value).orElse(length.usual());
    }

    /** Passes on how well a length is known: its source and one standard uncertainty of it, mm. */
    public void parts(ToolLength length, ObjDoubleConsumer<DoubtSource> each) {
        certified(length)
                .filter(known -> known.standardUncertainty() > 0)
                .ifPresent(known ->
                        each.accept(tool(length.kind()).orElseThrow().lengthSource(), known.standardUncertainty()));
    }

    /** Returns by how much the rear one of a pair is larger than the front one, mm; 0 where nobody has measured it. */
    public double apart(String pair) {
        return tool(pair).map(Tool::offset).orElse(0.0);
    }

    /** Returns whether somebody has measured how well that is known; then its source and one standard uncertainty of it, mm, are passed on. */
    public boolean hasPassedOn(String pair, ObjDoubleConsumer<DoubtSource> each) {
        Optional<Tool> known = tool(pair).filter(tool -> tool.standardUncertainty() > 0);
        known.ifPresent(tool -> each.accept(tool.source(), tool.standardUncertainty()));
        return known.isPresent();
    }

    private Optional<CertifiedLength> certified(ToolLength length) {
        return tool(length.kind()).flatMap(Tool::length);
    }
}
