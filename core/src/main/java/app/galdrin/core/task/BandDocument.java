package app.galdrin.core.task;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.record.JsonObject;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import tools.jackson.core.JsonGenerator;

/** The bands of a criterion in a task document, in degrees or mm: {@code full} with {@code none}, or with {@code steps} that end there. */
final class BandDocument {

    private final boolean length;
    private final TaskFaults faults;

    private BandDocument(FigureId figure, TaskFaults faults) {
        this.length = figure.measurand().quantity() == Quantity.LENGTH;
        this.faults = faults;
    }

    static Map<FigureId, Band> read(JsonObject criterion, TaskFaults faults) {
        Map<FigureId, Band> bands = new LinkedHashMap<>();
        for (JsonObject band : faults.objects(criterion, "bands", Practical.MOST_LINES)) {
            faults.only(band, Set.of("figure", "full", "none", "usual", "steps"));
            String key = faults.text(band, "figure", 60);
            Optional<FigureId> figure = FigureId.parse(key);
            if (figure.isEmpty()) {
                faults.unknown("figure", key);
            } else {
                new BandDocument(figure.get(), faults).read(band).ifPresent(read -> bands.put(figure.get(), read));
            }
        }
        return bands;
    }

    private Optional<Band> read(JsonObject band) {
        OptionalDouble full = limit(band, "full", 1);
        if (band.has("steps")) {
            List<Band.Step> steps = steps(band);
            if (full.isPresent() && !Band.canStep(full.getAsDouble(), steps)) {
                faults.unknown("steps", String.valueOf(band.get("steps")));
            } else if (full.isPresent()) {
                return Optional.of(Band.stepped(full.getAsDouble(), steps));
            }
            return Optional.empty();
        }
        OptionalDouble none = limit(band, "none", Band.NONE_TO_FULL);
        if (full.isPresent() && none.isPresent()) {
            if (none.getAsDouble() > full.getAsDouble()) {
                return Optional.of(new Band(full.getAsDouble(), none.getAsDouble(), faults.flag(band, "usual")));
            }
            faults.unknown("none", String.valueOf(band.get("none")));
        }
        return Optional.empty();
    }

    /** Returns those that can be read; steps that don't follow from one another are refused with the band. */
    private List<Band.Step> steps(JsonObject band) {
        for (String alone : List.of("none", "usual")) {
            if (band.has(alone)) {
                faults.unknown(alone, String.valueOf(band.get(alone)));
            }
        }
        List<Band.Step> steps = new ArrayList<>();
        for (JsonObject step : faults.objects(band, "steps", Band.MOST_STEPS)) {
            faults.only(step, Set.of("within", "percent"));
            OptionalDouble within = limit(step, "within", Band.NONE_TO_FULL);
            int percent = faults.whole(step, "percent", 1, 99, 0);
            within.ifPresent(w -> steps.add(new Band.Step(w, percent)));
        }
        return steps;
    }

    /** mm or rad; {@code times} what a full band may be. */
    private OptionalDouble limit(JsonObject json, String name, double times) {
        double least = length ? Band.NARROWEST_LENGTH : Band.NARROWEST_ANGLE;
        double most = length ? Band.WIDEST_LENGTH : Band.WIDEST_ANGLE;
        OptionalDouble read = faults.between(json, name, least, most * times);
        return length || read.isEmpty() ? read : OptionalDouble.of(Quantity.ANGLE.toCore(read.getAsDouble()));
    }

    static void write(JsonGenerator json, Map<FigureId, Band> bands) {
        json.writeArrayPropertyStart("bands");
        bands.forEach((figure, band) -> {
            json.writeStartObject();
            json.writeStringProperty("figure", figure.key());
            json.writeNumberProperty("full", inDocument(band.full(), figure));
            if (band.steps().isEmpty()) {
                json.writeNumberProperty("none", inDocument(band.none(), figure));
            } else {
                write(json, figure, band.steps());
            }
            if (band.usual()) {
                json.writeBooleanProperty("usual", true);
            }
            json.writeEndObject();
        });
        json.writeEndArray();
    }

    private static void write(JsonGenerator json, FigureId figure, List<Band.Step> steps) {
        json.writeArrayPropertyStart("steps");
        for (Band.Step step : steps) {
            json.writeStartObject();
            json.writeNumberProperty("within", inDocument(step.within(), figure));
            json.writeNumberProperty("percent", step.percent());
            json.writeEndObject();
        }
        json.writeEndArray();
    }

    /** Returns what was printed: the way there and back leaves nothing in the last digits. */
    private static double inDocument(double inCore, FigureId figure) {
        double value = figure.measurand().quantity().toDocument(inCore);
        return Math.rint(value * 1e12) / 1e12;
    }
}
