package app.galdrin.web.help.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.sketch.Sketch;
import app.galdrin.web.sketch.Sketches;
import app.galdrin.web.sketch.ToleranceRule;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.springframework.context.annotation.Profile;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Every part of the look in every state. */
@Controller
@Profile("demo")
class StyleController {

    private static final Limits LIMITS = Limits.of(Math.toRadians(-0.22), Math.toRadians(-0.08), Math.toRadians(0.06));

    private final Library library;

    StyleController(Library library) {
        this.library = library;
    }

    /** A sketch with the sheet and method its positions come from. */
    record SketchView(SheetVersion sheet, Procedure procedure, Sketch sketch) {}

    @GetMapping("/help/style")
    String page(@AuthenticationPrincipal SignedIn me, Model model) {
        model.addAttribute(
                "rules",
                DoubleStream.of(-0.09, 0.04, 0.09, 0.31, -0.4)
                        .mapToObj(StyleController::rule)
                        .toList());
        List<SketchView> sketches = library.newestSheets(me.centreId()).stream()
                .limit(2)
                .flatMap(sheet -> Procedures.all().stream().map(p -> new SketchView(sheet, p, sketch(sheet, p))))
                .toList();
        model.addAttribute("sketches", sketches);
        return "help/style";
    }

    private static Sketch sketch(SheetVersion sheet, Procedure procedure) {
        List<FigureId> front = procedure.sees().stream()
                .filter(f -> f.axle().equals(Optional.of(Axle.FRONT)))
                .toList();
        return Sketches.of(sheet.id(), sheet.sheet(), procedure, front);
    }

    private static ToleranceRule rule(double degrees) {
        var value = new Estimate(Math.toRadians(degrees), Math.toRadians(0.03));
        var zone = Judgement.of(value, LIMITS, Judgement.K, DecisionRule.SIMPLE).zone();
        return ToleranceRule.of(
                FigureId.of(Measurand.TOTAL_TOE, Axle.FRONT), value.value(), value.standardUncertainty(), LIMITS, zone);
    }
}
