package app.galdrin.web.stylepage.internal;

import app.galdrin.core.measure.ToeMethod;
import app.galdrin.core.measure.ToeMethods;
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
import java.util.stream.DoubleStream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Every part of the look in every state. */
@Controller
class StyleController {

    private static final Limits LIMITS = Limits.of(Math.toRadians(-0.22), Math.toRadians(-0.08), Math.toRadians(0.06));

    private final Library library;

    StyleController(Library library) {
        this.library = library;
    }

    /** A sketch with the sheet and method its positions come from. */
    record SketchView(SheetVersion sheet, ToeMethod method, Sketch sketch) {}

    @GetMapping("/style")
    String page(@AuthenticationPrincipal SignedIn me, Model model) {
        model.addAttribute(
                "rules",
                DoubleStream.of(-0.09, 0.04, 0.09, 0.31, -0.4)
                        .mapToObj(StyleController::rule)
                        .toList());
        List<SketchView> sketches = library.newestSheets(me.centreId()).stream()
                .limit(2)
                .flatMap(sheet -> ToeMethods.all().stream()
                        .map(method -> new SketchView(
                                sheet,
                                method,
                                Sketches.of(sheet.id(), sheet.sheet().geometry(), method))))
                .toList();
        model.addAttribute("sketches", sketches);
        return "stylepage/style";
    }

    private static ToleranceRule rule(double degrees) {
        var value = new Estimate(Math.toRadians(degrees), Math.toRadians(0.03));
        return ToleranceRule.of(value, LIMITS, Judgement.of(value, LIMITS, Judgement.K, DecisionRule.SIMPLE));
    }
}
