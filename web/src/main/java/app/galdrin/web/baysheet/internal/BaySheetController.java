package app.galdrin.web.baysheet.internal;

import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.layout.Words;
import app.galdrin.web.marking.EvidenceWords;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Route;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.Slot;
import app.galdrin.web.sitting.Stage;
import app.galdrin.web.task.Tasks;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The sheet at the bay, stage by stage; with a script each entry is sent as it is written, without one by the button. */
@Controller
class BaySheetController {

    /** Where a form was sent without a script and so without a device's name. */
    private static final String NO_SCRIPT = "form";

    private final Sittings sittings;
    private final Tasks tasks;
    private final EvidenceWords evidence;
    private final Words words;

    BaySheetController(Sittings sittings, Tasks tasks, EvidenceWords evidence, Words words) {
        this.sittings = sittings;
        this.tasks = tasks;
        this.evidence = evidence;
        this.words = words;
    }

    @GetMapping("/sittings")
    String own(@AuthenticationPrincipal SignedIn me, Model model) {
        model.addAttribute("sittings", sittings.own(me));
        return "baysheet/sittings";
    }

    /** The first stage that is not finished. */
    @GetMapping("/sittings/{id}")
    String resume(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id) {
        Sitting sitting = sittings.sitting(me, id);
        Log log = sittings.log(me.centreId(), id);
        List<Route.Step> route = Route.of(sitting, log);
        Stage stage = route.stream()
                .filter(s -> !s.complete())
                .findFirst()
                .orElse(route.get(route.size() - 1))
                .stage();
        return "redirect:/sittings/" + id + "/" + stage.path();
    }

    @GetMapping("/tasks/{taskId}/reference")
    String reference(@AuthenticationPrincipal SignedIn me, @PathVariable UUID taskId) {
        UUID id = sittings.referenceAsFound(me, tasks.task(me.centreId(), taskId));
        return "redirect:/sittings/" + id + "/" + Stage.AS_FOUND.path();
    }

    @GetMapping("/marking/{sittingId}/reference")
    String asLeftReference(@AuthenticationPrincipal SignedIn me, @PathVariable UUID sittingId) {
        UUID id = sittings.referenceAsLeft(me, sittings.sitting(me, sittingId));
        return "redirect:/sittings/" + id + "/" + Stage.AS_LEFT.path();
    }

    @GetMapping("/sittings/{id}/{stage:prepare|as-found|work|judge|plan|as-left|hand-in}")
    String stage(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @PathVariable String stage,
            @RequestParam(defaultValue = "1") int repeat,
            @RequestParam(required = false) @Nullable String panel,
            Model model) {
        show(me, id, stage, repeat, Map.of(), model);
        return panel == null ? "baysheet/sheet" : "baysheet/panel :: panel";
    }

    private void show(SignedIn me, UUID id, String path, int repeat, Map<Slot, Fields.Refused> refused, Model model) {
        Sitting sitting = sittings.sitting(me, id);
        Stage stage = stageAt(sitting, path);
        Log log = sittings.log(me.centreId(), id);
        int shown = Math.max(1, Math.min(repeat, sitting.task().toe().repeats()));
        var fields = new Fields(sitting.task().toe(), log, words, refused);
        model.addAttribute("view", new SheetView.Maker(sitting, log, stage, shown, fields, evidence, words).make());
        model.addAttribute("mine", sitting.personId().equals(me.personId()));
    }

    private static Stage stageAt(Sitting sitting, String path) {
        return Route.stages(sitting).stream()
                .filter(s -> s.path().equals(path))
                .findFirst()
                .orElseThrow(() -> new NotThere("stage"));
    }

    /** A whole form without a script: everything that was typed and can be read is written, the rest comes back. */
    @PostMapping("/sittings/{id}/{stage:prepare|as-found|work|judge|plan|as-left|hand-in}")
    String write(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @PathVariable String stage,
            @RequestParam(defaultValue = "1") int repeat,
            @RequestParam Map<String, String> form,
            HttpServletResponse response,
            Model model) {
        Sitting sitting = sittings.sitting(me, id);
        Stage here = stageAt(sitting, stage);
        Map<Slot, Fields.Refused> refused = new HashMap<>();
        for (Slot slot : Route.slots(sitting.task().toe(), here)) {
            String typed = form.getOrDefault(slot.key(), "");
            boolean strike = slot.key().equals(form.get("strike"));
            if (strike || !typed.isBlank()) {
                String key = form.getOrDefault("key:" + slot.key(), Ids.next().toString());
                var line =
                        new Sittings.Line(slot, strike ? "" : typed, strike, strike ? key + "-strike" : key, NO_SCRIPT);
                if (sittings.write(me, sitting, line) instanceof Sittings.Outcome.Refused no) {
                    refused.put(slot, new Fields.Refused(typed, said(no)));
                }
            }
        }
        if (refused.isEmpty()) {
            return "redirect:/sittings/" + id + "/" + stage + "?repeat=" + repeat;
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        show(me, id, stage, repeat, refused, model);
        return "baysheet/sheet";
    }

    /** Raises or lowers the flag that calls the instructor. */
    @PostMapping("/sittings/{id}/flag")
    String flag(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String text,
            @RequestParam String key,
            @RequestParam String back) {
        Sitting sitting = sittings.sitting(me, id);
        sittings.write(me, sitting, new Sittings.Line(Slot.of(Stage.FLAG, "needsYou"), text, false, key, NO_SCRIPT));
        boolean local = back.startsWith("/") && !back.startsWith("//") && !back.contains("\\");
        return "redirect:" + (local ? back : "/sittings/" + id);
    }

    /**
     * What a script sends: one entry.
     *
     * @param ok whether it stands now
     * @param echo as it was understood
     * @param error why it does not stand
     * @param seq how many entries the sitting has
     */
    record Answer(boolean ok, String echo, @Nullable String error, int seq) {}

    @PostMapping("/sittings/{id}/entries")
    @ResponseBody
    Answer entry(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String slot,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "false") boolean strike,
            @RequestParam String key,
            @RequestHeader("X-Galdrin-Device") String device) {
        if (!key.matches("[A-Za-z0-9-]{8,80}") || !device.matches("[A-Za-z0-9-]{1,40}")) {
            throw new NotThere("key");
        }
        Sitting sitting = sittings.sitting(me, id);
        Slot where = Slot.parse(slot)
                .filter(s -> Route.stages(sitting).contains(s.stage()))
                .orElseThrow(() -> new NotThere("slot"));
        var outcome = sittings.write(me, sitting, new Sittings.Line(where, text, strike, key, device));
        if (outcome instanceof Sittings.Outcome.Refused no) {
            return new Answer(false, "", said(no), sitting.lastSeq());
        }
        if (outcome instanceof Sittings.Outcome.Struck struck) {
            return new Answer(true, "", null, struck.entry().seq());
        }
        var entry = ((Sittings.Outcome.Stands) outcome).entry();
        return new Answer(true, Fields.echo(entry, sitting.task().toe().answerUnit(), words), null, entry.seq());
    }

    /** The sentence, with the keys in its arguments put into words. */
    private String said(Sittings.Outcome.Refused refused) {
        Object[] args = refused.why().args().stream()
                .map(a ->
                        a instanceof String s && (s.startsWith("unit.") || s.startsWith("field.")) ? words.text(s) : a)
                .toArray();
        return words.text(refused.why().key(), args);
    }
}
