package app.galdrin.web.sketch;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.procedure.Choice;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.ServiceLoader;
import java.util.UUID;
import java.util.stream.Collectors;

/** Sketches of vehicles and procedures, and the style sheet that puts their fields in place. */
public final class Sketches {

    /** The styles of a drawing that has no style sheet beside it, as a file or on paper. */
    public static final String INK = ink();

    private static final int MOST_KEPT = 500;

    /** Sketches do not change with what is written on them, and a class draws the same few. */
    private static final Cache<SketchKey, Sketch> DRAWN =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    private static final VehicleDrawing VEHICLE = ServiceLoader.load(
                    VehicleDrawing.class, VehicleDrawing.class.getClassLoader())
            .findFirst()
            .orElseThrow();

    private Sketches() {}

    private static String ink() {
        try (InputStream in = Objects.requireNonNull(Sketches.class.getResourceAsStream("ink.css"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** All that a sketch is made of. */
    private record SketchKey(
            UUID sheetId,
            SpecificationSheet sheet,
            String procedure,
            Map<String, CatalogueInstrument> tools,
            List<FigureId> figures) {}

    /** The sketch of a procedure on a vehicle with the places that these figures ask for; {@code sheetId} only names it. */
    public static Sketch of(UUID sheetId, SpecificationSheet sheet, Procedure procedure, List<FigureId> figures) {
        var key = new SketchKey(sheetId, sheet, procedure.key(), procedure.tools(), List.copyOf(figures));
        return DRAWN.get(key, a -> drawn(sheetId, sheet, procedure, figures));
    }

    private static Sketch drawn(UUID sheetId, SpecificationSheet sheet, Procedure procedure, List<FigureId> figures) {
        List<Place> asked = procedure.places(figures);
        String wanted = figures.stream().map(FigureId::key).collect(Collectors.joining(","));
        String key = "sk-" + sheetId + "-" + procedure.key() + "-" + Integer.toHexString(wanted.hashCode());
        return new Sketch(
                key,
                "/sketches/" + sheetId + "/" + procedure.key() + ".css?figures=" + wanted,
                procedure.choices(),
                places(asked),
                Layouts.of(procedure).draw(sheet, asked, false),
                Layouts.of(procedure).draw(sheet, asked, true));
    }

    /** A vehicle with letters at the dimensions of its sheet, A to F. */
    public static Drawing geometry(VehicleGeometry geometry, boolean upright) {
        return VEHICLE.draw(geometry, upright);
    }

    /** A front axle from above with the number of each part by the part's key. */
    public static Drawing axle(VehicleGeometry geometry, Map<String, Integer> numbers) {
        return VEHICLE.axle(geometry, numbers);
    }

    /** A vehicle from above, front up, without letters. */
    public static Drawing above(VehicleGeometry geometry) {
        return VEHICLE.above(geometry);
    }

    private static List<Sketch.SketchPlace> places(List<Place> asked) {
        List<Sketch.SketchPlace> places = new ArrayList<>();
        asked.forEach(place -> places.add(new Sketch.SketchPlace(place, places.size() + 1)));
        return places;
    }

    /**
     * Positions as a style sheet of their own, since the content security policy allows no style attributes. Everything
     * is a share of the sketch's size, so fields and strokes keep together at any width.
     */
    public static String styleSheet(Sketch sketch) {
        StringBuilder css = new StringBuilder();
        positions(css, sketch, sketch.lying());
        css.append("@container sketch (max-width: 620px) {\n");
        positions(css, sketch, sketch.upright());
        css.append("}\n");
        sketch.choices().forEach(choice -> options(css, sketch.key(), choice));
        return css.toString();
    }

    /** Hides what goes with the options that are not chosen: by the field itself, so that it follows the hand. */
    private static void options(StringBuilder css, String key, Choice choice) {
        String field = ".measure:has(input[name*=\"/" + choice.id() + "/\"]";
        String any = " [data-option^=\"" + Sketch.option(choice.id(), "\"]");
        css.append(field + ":checked) ." + key + any + ", ." + key + "." + Sketch.chose(choice.id()) + any);
        css.append(" { display: none }\n");
        for (String option : choice.options()) {
            String name = Sketch.option(choice.id(), option);
            String its = " [data-option=\"" + name + "\"]";
            css.append(field + "[value=\"" + option + "\"]:checked) ." + key + its);
            css.append(", ." + key + "." + Sketch.chose(choice.id()) + "." + Sketch.chose(name) + its);
            css.append(" { display: inline; opacity: 1 }\n");
        }
    }

    private static void positions(StringBuilder css, Sketch sketch, Drawing drawing) {
        for (Sketch.SketchPlace place : sketch.places()) {
            Box box = boxOf(drawing.fields(), place.id());
            css.append(String.format(
                    Locale.ROOT,
                    ".%s .%s { left: %.3f%%; top: %.3f%%; width: %.3f%%; height: %.3f%% }%n",
                    sketch.key(),
                    "at-" + place.id().replace('.', '-'),
                    100 * box.x() / drawing.width(),
                    100 * box.y() / drawing.height(),
                    100 * box.width() / drawing.width(),
                    100 * box.height() / drawing.height()));
        }
    }

    static Box boxOf(Map<String, Box> boxes, String place) {
        Box box = boxes.get(place);
        if (box == null) {
            throw new IllegalStateException("no field drawn for " + place);
        }
        return box;
    }
}
