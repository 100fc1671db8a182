package app.galdrin.web.library.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Fastener;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SheetLine;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.spec.WheelSize;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.sketch.DoubtRule;
import app.galdrin.web.sketch.Sketches;
import app.galdrin.web.words.PartWords;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.function.ToDoubleFunction;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says a sheet. */
final class SheetViewMaker {

    /** Figures that say no more than the limits they are. */
    private static final Pattern BARE = Pattern.compile("[-+−]?[0-9.,]+");

    private final Words words;
    private final PartWords partWords;

    SheetViewMaker(Words words) {
        this.words = words;
        this.partWords = new PartWords(words);
    }

    /**
     * A page of a sheet.
     *
     * @param versions all of the vehicle's, the newest first
     * @param against which of them it is compared with; empty for the one before
     */
    SheetView of(SheetVersion sheet, List<SheetVersion> versions, Optional<UUID> against) {
        VehicleGeometry g = sheet.sheet().geometry();
        Optional<SheetVersion> other = versions.stream()
                .filter(v -> !v.id().equals(sheet.id()))
                .filter(v -> against.map(id -> id.equals(v.id())).orElse(v.version() < sheet.version()))
                .findFirst();
        return new SheetView(
                sheet,
                versions,
                other.orElse(null),
                lines(sheet.sheet()),
                dimensions(sheet.sheet()),
                Sketches.geometry(g, false),
                Sketches.geometry(g, true),
                parts(sheet.sheet()),
                torques(sheet.sheet()),
                other.map(o -> changes(o.sheet(), sheet.sheet())).orElse(List.of()),
                ruledOut(sheet.sheet()));
    }

    /** Returns what is different between two sheets: by line, and of a line what the other has not. */
    List<SheetView.SheetChange> changes(SpecificationSheet before, SpecificationSheet now) {
        Map<String, List<String>> then = said(before);
        Map<String, List<String>> here = said(now);
        Set<String> names = new LinkedHashSet<>(here.keySet());
        names.addAll(then.keySet());
        List<SheetView.SheetChange> changes = new ArrayList<>();
        for (String name : names) {
            List<String> was = then.getOrDefault(name, List.of());
            List<String> is = here.getOrDefault(name, List.of());
            if (!was.equals(is)) {
                changes.add(new SheetView.SheetChange(name, without(was, is), without(is, was)));
            }
        }
        return changes;
    }

    private static String without(List<String> some, List<String> others) {
        String left = some.stream()
                .filter(one -> !others.contains(one))
                .map(one -> one.endsWith(".") ? one : one + ".")
                .collect(Collectors.joining(" "));
        return left.isEmpty() ? "–" : left;
    }

    private Map<String, List<String>> said(SpecificationSheet sheet) {
        Map<String, List<String>> said = new LinkedHashMap<>();
        lines(sheet).forEach(l -> said.put(l.name(), there(l.limits(), l.printed(), l.difference(), l.adjustable())));
        dimensions(sheet).forEach(d -> said.put(d.name(), there(d.value())));
        parts(sheet)
                .forEach(p -> said.put(
                        p.name(),
                        Stream.concat(p.effects().stream(), p.steps().stream()).toList()));
        torques(sheet).forEach(t -> said.put(t.name(), there(t.thread(), t.torque(), t.note())));
        return said;
    }

    private static List<String> there(String... parts) {
        return Stream.of(parts).filter(p -> !p.isEmpty()).toList();
    }

    private List<SheetView.Line> lines(SpecificationSheet sheet) {
        return sheet.lines().stream().map(line -> line(sheet, line)).toList();
    }

    /** The figure a line speaks of; of a line for each wheel the left one, which is named as each wheel. */
    private static FigureId figure(SheetLine line) {
        Axle axle = line.axle().orElse(Axle.FRONT);
        return switch (line.measurand().extent()) {
            case WHEEL -> FigureId.of(line.measurand(), Wheel.of(axle, Side.LEFT));
            case AXLE -> FigureId.of(line.measurand(), axle);
            case VEHICLE -> FigureId.of(line.measurand(), Location.VEHICLE);
        };
    }

    private String name(SheetLine line) {
        String measurand = words.text("measurand." + line.measurand().key());
        return line.axle()
                .map(axle -> words.text("part.at", measurand, words.text("axle." + axle.key())))
                .orElse(measurand);
    }

    private SheetView.Line line(SpecificationSheet sheet, SheetLine line) {
        FigureId figure = figure(line);
        return new SheetView.Line(
                name(line),
                line.limits().map(l -> limits(l, figure)).orElse(words.text("sheet.noLimits")),
                printed(line),
                difference(line, figure),
                line.limits().map(l -> DoubtRule.of(figure, l, 0)).orElse(null),
                adjustable(sheet, line, figure));
    }

    private String limits(Limits l, FigureId figure) {
        return words.text("sheet.limits", said(l.min(), figure), said(l.target(), figure), said(l.max(), figure));
    }

    private String said(OptionalDouble value, FigureId figure) {
        return value.isPresent() ? words.figure(value.getAsDouble(), figure) : "–";
    }

    /** Returns a limit as it was typed, where that says more than the limits: a tolerance, another unit, the length of its millimetres. */
    private String printed(SheetLine line) {
        Map<String, String> typed = line.typed();
        if (line.limits().isEmpty()
                || typed.values().stream().allMatch(t -> BARE.matcher(t).matches())) {
            return "";
        }
        String figures = typed.containsKey("tolerance")
                ? words.text(
                        "sheet.printed.tolerance",
                        typed.getOrDefault("preferred", "–"),
                        typed.getOrDefault("tolerance", "–"))
                : words.text(
                        "sheet.limits",
                        typed.getOrDefault("min", "–"),
                        typed.getOrDefault("preferred", "–"),
                        typed.getOrDefault("max", "–"));
        String whose = typed.containsKey("of") ? words.text("sheet.printed." + typed.get("of")) : "";
        String over = typed.containsKey("over") ? words.text("sheet.printed.over", typed.get("over")) : "";
        return words.text("sheet.printed", String.join(", ", there(figures, over, whose)));
    }

    private String difference(SheetLine line, FigureId figure) {
        return line.sideDifference()
                .map(d -> d.intended() == 0
                        ? words.text("sheet.difference", size(d.most(), figure))
                        : words.text(
                                "sheet.difference.intended",
                                words.figure(d.intended(), figure),
                                size(d.most(), figure)))
                .orElse("");
    }

    private String size(double value, FigureId figure) {
        return figure.measurand().quantity() == Quantity.LENGTH ? words.length(value) : words.angleSize(value);
    }

    private String adjustable(SpecificationSheet sheet, SheetLine line, FigureId figure) {
        if (line.adjustable() == Adjustable.NO) {
            return words.text("sheet.notAdjustable");
        }
        List<String> names = sheet.adjusters(figure.adjustment()).stream()
                .map(a -> words.text("part." + a.part().key()))
                .distinct()
                .toList();
        String parts = names.isEmpty() ? words.text("sheet.partUnknown") : String.join(", ", names);
        return words.text("sheet.adjustable." + line.adjustable().key(), parts);
    }

    private List<SheetView.Dimension> dimensions(SpecificationSheet sheet) {
        VehicleGeometry g = sheet.geometry();
        List<SheetView.Dimension> all = new ArrayList<>();
        all.add(dimension("A", "wheelbase", words.length(g.wheelbase())));
        all.add(dimension("B", "frontTrack", words.length(g.frontTrack())));
        all.add(dimension("C", "rearTrack", words.length(g.rearTrack())));
        all.add(dimension("D", "rimDiameter", ofBoth(g, WheelSize::rimDiameter)));
        all.add(dimension("E", "tyreRadius", ofBoth(g, WheelSize::tyreRadius)));
        String arm = words.text(
                "geometry.armLength", words.text("linkage." + g.linkage().key()));
        all.add(new SheetView.Dimension(g.armLength().isPresent() ? "F" : "", arm, length(g.armLength())));
        all.add(dimension("", "lead", length(g.lead())));
        all.add(dimension(
                "",
                "steeringRatio",
                g.steeringRatio().isPresent()
                        ? QuantityFormat.decimal(g.steeringRatio().getAsDouble(), 1, false) + " : 1"
                        : words.text("sheet.notKnown")));
        sheet.stance().rideHeight().ifPresent(height -> all.add(dimension("", "rideHeight", words.length(height))));
        sheet.stance()
                .load()
                .ifPresent(load -> all.add(
                        dimension("", "load", words.text("geometry.load.kg", QuantityFormat.decimal(load, 0, false)))));
        return all;
    }

    private SheetView.Dimension dimension(String letter, String key, String value) {
        return new SheetView.Dimension(letter, words.text("geometry." + key), value);
    }

    private String length(OptionalDouble known) {
        return known.isPresent() ? words.length(known.getAsDouble()) : words.text("sheet.notKnown");
    }

    /** One length where both axles have the same, else both. */
    private String ofBoth(VehicleGeometry g, ToDoubleFunction<WheelSize> whose) {
        String ahead = words.length(whose.applyAsDouble(g.front()));
        String behind = words.length(whose.applyAsDouble(g.rear()));
        return ahead.equals(behind) ? ahead : words.text("geometry.bothAxles", ahead, behind);
    }

    private List<SheetView.Part> parts(SpecificationSheet sheet) {
        return sheet.adjusters().stream().map(a -> part(sheet, a)).toList();
    }

    private SheetView.Part part(SpecificationSheet sheet, Adjuster a) {
        String name = a.where() == Location.VEHICLE
                ? words.text("part." + a.part().key())
                : words.text(
                        "part.at",
                        words.text("part." + a.part().key()),
                        words.text("where." + a.where().key()));
        List<String> effects = a.effects().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(e -> effect(a, e.getKey(), e.getValue()))
                .toList();
        return new SheetView.Part(
                name, words.text("adjusterUnit." + a.unit().key()), effects, partWords.steps(sheet, a));
    }

    private List<SheetView.Torque> torques(SpecificationSheet sheet) {
        return sheet.fasteners().stream()
                .map(f -> new SheetView.Torque(f.name(), f.thread().orElse(""), partWords.torque(f), note(f)))
                .toList();
    }

    private String note(Fastener f) {
        return String.join(
                " ",
                there(
                        f.use()
                                .map(use -> words.text("sheet.torque.use", words.text("fastenerUse." + use.key())))
                                .orElse(""),
                        f.singleUse() ? words.text("sheet.torque.once") : "",
                        f.unusual() ? words.text("sheet.torque.unusual") : ""));
    }

    private String effect(Adjuster a, FigureId figure, Adjuster.Effect effect) {
        return effect.perUnit().isPresent()
                ? words.text(
                        "sheet.effect",
                        words.name(figure),
                        words.figure(effect.perUnit().getAsDouble(), figure),
                        words.text("way." + a.part().way(1).key()))
                : words.text(
                        "sheet.effect.way",
                        words.name(figure),
                        effect.sign() > 0 ? "+" : "−",
                        words.text("way." + a.part().way(1).key()));
    }

    /** Returns what can't be told by a way of measuring because it takes from the sheet what that does not give. */
    private List<String> ruledOut(SpecificationSheet sheet) {
        var standing = new MeasuringContext(sheet, BayFloor.LEVEL);
        List<String> out = new ArrayList<>();
        for (Procedure procedure : Procedures.all()) {
            Map<String, Set<String>> lacking = new LinkedHashMap<>();
            for (FigureId figure : procedure.sees()) {
                procedure
                        .lacking(figure, List.of(figure), standing)
                        .forEach(datum -> lacking.computeIfAbsent(
                                        words.text("measurand."
                                                + figure.measurand().key()),
                                        m -> new LinkedHashSet<>())
                                .add(words.datum(datum.key())));
            }
            lacking.forEach((measurand, data) -> out.add(words.text(
                    "sheet.ruledOut", words.text("procedure." + procedure.key()), measurand, String.join(", ", data))));
        }
        return out;
    }
}
