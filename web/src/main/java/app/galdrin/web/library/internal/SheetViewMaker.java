package app.galdrin.web.library.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Where;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.Source;
import app.galdrin.core.procedure.Standing;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SheetLine;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.layout.Words;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.sketch.DoubtRule;
import app.galdrin.web.sketch.Sketches;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** Says a sheet. */
final class SheetViewMaker {

    private final Words words;

    SheetViewMaker(Words words) {
        this.words = words;
    }

    /** {@code versions}: all of the vehicle's, the newest first. */
    SheetView of(SheetVersion sheet, List<SheetVersion> versions) {
        VehicleGeometry g = sheet.sheet().geometry();
        Optional<SheetVersion> before =
                versions.stream().filter(v -> v.version() < sheet.version()).findFirst();
        return new SheetView(
                sheet,
                versions,
                lines(sheet.sheet()),
                dimensions(g),
                Sketches.geometry(g, false),
                Sketches.geometry(g, true),
                sheet.sheet().adjusters().stream().map(this::part).toList(),
                before.map(b -> changes(b.sheet(), sheet.sheet())).orElse(List.of()),
                ruledOut(sheet.sheet()));
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
            case VEHICLE -> FigureId.of(line.measurand(), Where.VEHICLE);
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

    private String difference(SheetLine line, FigureId figure) {
        return line.sideDifference().isPresent()
                ? words.text(
                        "sheet.difference", words.doubt(line.sideDifference().getAsDouble(), figure))
                : "";
    }

    private String adjustable(SpecificationSheet sheet, SheetLine line, FigureId figure) {
        if (line.adjustable() == Adjustable.NO) {
            return words.text("sheet.notAdjustable");
        }
        List<String> by = sheet.adjusters(figure.adjustment()).stream()
                .map(a -> words.text("part." + a.part().key()))
                .distinct()
                .toList();
        String parts = by.isEmpty() ? words.text("sheet.partUnknown") : String.join(", ", by);
        return words.text("sheet.adjustable." + line.adjustable().key(), parts);
    }

    private List<SheetView.Dimension> dimensions(VehicleGeometry g) {
        return List.of(
                new SheetView.Dimension("A", words.text("geometry.wheelbase"), words.length(g.wheelbase())),
                new SheetView.Dimension("B", words.text("geometry.frontTrack"), words.length(g.frontTrack())),
                new SheetView.Dimension("C", words.text("geometry.rearTrack"), words.length(g.rearTrack())),
                new SheetView.Dimension("D", words.text("geometry.rimDiameter"), words.length(g.rimDiameter())),
                new SheetView.Dimension("E", words.text("geometry.tyreRadius"), words.length(g.tyreRadius())),
                new SheetView.Dimension(
                        "F",
                        words.text(
                                "geometry.armLength",
                                words.text("linkage." + g.linkage().key())),
                        words.length(g.armLength())),
                new SheetView.Dimension("", words.text("geometry.lead"), words.length(g.lead())),
                new SheetView.Dimension(
                        "",
                        words.text("geometry.steeringRatio"),
                        QuantityFormat.decimal(g.steeringRatio(), 1, false) + " : 1"));
    }

    private SheetView.Part part(Adjuster a) {
        String name = a.where() == Where.VEHICLE
                ? words.text("part." + a.part().key())
                : words.text(
                        "part.at",
                        words.text("part." + a.part().key()),
                        words.text("where." + a.where().key()));
        List<String> effects = a.effects().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(e -> effect(e.getKey(), e.getValue()))
                .toList();
        return new SheetView.Part(
                name,
                words.text("adjusterUnit." + a.unit().key()),
                effects,
                words.text(a.rereadAfter() ? "sheet.part.reread" : "sheet.part.once"));
    }

    private String effect(FigureId figure, Adjuster.Effect effect) {
        return effect.perUnit().isPresent()
                ? words.text(
                        "sheet.effect",
                        words.name(figure),
                        words.figure(effect.perUnit().getAsDouble(), figure))
                : words.text("sheet.effect.way", words.name(figure), effect.sign() > 0 ? "+" : "−");
    }

    /** Line by line; a line that is on one of them alone has a dash on the other. */
    private List<SheetView.Changed> changes(SpecificationSheet before, SpecificationSheet now) {
        Map<String, String> then = said(before);
        Map<String, String> here = said(now);
        List<String> names = new ArrayList<>(here.keySet());
        then.keySet().stream().filter(n -> !here.containsKey(n)).forEach(names::add);
        return names.stream()
                .filter(n -> !here.getOrDefault(n, "–").equals(then.getOrDefault(n, "–")))
                .map(n -> new SheetView.Changed(n, then.getOrDefault(n, "–"), here.getOrDefault(n, "–")))
                .toList();
    }

    private Map<String, String> said(SpecificationSheet sheet) {
        Map<String, String> said = new LinkedHashMap<>();
        lines(sheet)
                .forEach(l -> said.put(l.name(), (l.limits() + " " + l.difference()).strip() + " " + l.adjustable()));
        dimensions(sheet.geometry()).forEach(d -> said.put(d.name(), d.value()));
        return said;
    }

    /** Ways of measuring that take from the sheet what it does not give. */
    private List<String> ruledOut(SpecificationSheet sheet) {
        var standing = new Standing(sheet, BayFloor.UNSURVEYED);
        List<String> out = new ArrayList<>();
        for (Procedure procedure : Procedures.all()) {
            List<String> lacking = procedure.given(procedure.taught().get(0), procedure.sees()).stream()
                    .filter(g -> g instanceof Source.Datum && g.known(standing).isEmpty())
                    .map(g -> FigureId.parse(g.key()).map(words::name).orElse(g.key()))
                    .toList();
            if (!lacking.isEmpty()) {
                out.add(words.text(
                        "sheet.ruledOut", words.text("procedure." + procedure.key()), String.join(", ", lacking)));
            }
        }
        return out;
    }
}
