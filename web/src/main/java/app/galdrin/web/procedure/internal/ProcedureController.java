package app.galdrin.web.procedure.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Mode;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sketch.Sketch;
import app.galdrin.web.sketch.Sketches;
import app.galdrin.web.words.Words;
import app.galdrin.web.words.WorkingWords;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.View;
import org.thymeleaf.spring6.view.ThymeleafView;
import org.thymeleaf.spring6.view.ThymeleafViewResolver;

/** The ways of measuring, for everyone who is signed in. */
@Controller
class ProcedureController {

    /** The bay of the examples: a floor with a slope both ways, so that it is seen what becomes of it. */
    private static final BayFloor FLOOR =
            new BayFloor(1, Math.toRadians(0.1), Math.toRadians(-0.2), Math.toRadians(0.03));

    private final Library library;
    private final Words words;
    private final WorkingWords working;
    private final ThymeleafViewResolver views;
    private final Sittings sittings;

    ProcedureController(
            Library library, Words words, WorkingWords working, ThymeleafViewResolver views, Sittings sittings) {
        this.sittings = sittings;
        this.views = views;
        this.library = library;
        this.words = words;
        this.working = working;
    }

    @GetMapping("/procedures")
    String all(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam(name = "sheet", required = false) @Nullable String sheet,
            Model model) {
        List<SheetVersion> sheets = library.newestSheets(me.centreId());
        model.addAttribute("sheets", sheets);
        if (!sheets.isEmpty()) {
            SheetVersion on = chosen(sheets, sheet);
            model.addAttribute("on", on);
            model.addAttribute("matrix", new Matrix(words, new MeasuringContext(on.sheet(), FLOOR)).view());
        }
        return "procedure/all";
    }

    @GetMapping("/procedures/{key}")
    String one(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable String key,
            @RequestParam MultiValueMap<String, String> typed,
            Model model) {
        Procedure procedure = named(key, me);
        List<SheetVersion> sheets = library.newestSheets(me.centreId());
        model.addAttribute("procedure", procedure);
        model.addAttribute("sheets", sheets);
        if (!sheets.isEmpty()) {
            Map<String, String> first = new HashMap<>();
            typed.forEach((name, values) -> first.put(name, values.isEmpty() ? "" : String.valueOf(values.get(0))));
            boolean held = isAssessed(me);
            if (held) {
                first.keySet().removeIf(name -> name.startsWith("at."));
            }
            model.addAttribute("held", held);
            SheetVersion on = chosen(sheets, first.get("sheet"));
            model.addAttribute("on", on);
            MeasuringContext standing = new MeasuringContext(on.sheet(), FLOOR);
            model.addAttribute("example", new Example(words, working, on, procedure, standing, first).view());
        }
        model.addAttribute(
                "sees", procedure.sees().stream().sorted().map(words::name).toList());
        return "procedure/one";
    }

    /** Refuses an apprentice during an assessment: this would work the apprentice's own readings. */
    private boolean isAssessed(SignedIn me) {
        return sittings.own(me).stream()
                .filter(sitting -> !sitting.handedIn())
                .anyMatch(sitting ->
                        sittings.sitting(me, sitting.id()).task().practical().mode() == Mode.ASSESSMENT);
    }

    /** The picture as a file of its own. */
    @GetMapping("/procedures/{key}/{layout}.svg")
    View drawing(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable String key,
            @PathVariable String layout,
            @RequestParam(name = "sheet", required = false) @Nullable String sheet,
            Model model,
            Locale locale,
            HttpServletResponse response)
            throws Exception {
        Procedure procedure = named(key, me);
        List<SheetVersion> sheets = library.newestSheets(me.centreId());
        if (sheets.isEmpty() || !List.of("lying", "upright").contains(layout)) {
            throw new NotThere("drawing", Words.quote(layout), me);
        }
        SheetVersion on = chosen(sheets, sheet);
        List<FigureId> figures = TaskStart.usualFigures(procedure);
        Sketch sketch = Sketches.of(on.id(), on.sheet(), procedure, figures);
        model.addAttribute("sketch", sketch);
        model.addAttribute("ink", Sketches.INK);
        model.addAttribute("drawing", layout.equals("lying") ? sketch.lying() : sketch.upright());
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(key + "-" + layout + ".svg")
                        .build()
                        .toString());
        var view = (ThymeleafView) Objects.requireNonNull(views.resolveViewName("procedure/svg", locale));
        view.setContentType("image/svg+xml;charset=UTF-8");
        view.setForceContentType(true);
        return view;
    }

    private static Procedure named(String key, SignedIn me) {
        return Procedures.named(key).orElseThrow(() -> new NotThere("procedure", Words.quote(key), me));
    }

    private static SheetVersion chosen(List<SheetVersion> sheets, @Nullable String id) {
        return sheets.stream()
                .filter(s -> s.id().toString().equals(id))
                .findFirst()
                .orElse(sheets.get(0));
    }
}
