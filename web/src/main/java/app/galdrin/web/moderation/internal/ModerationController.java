package app.galdrin.web.moderation.internal;

import app.galdrin.core.Keyed;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.layout.WholeNumber;
import app.galdrin.web.moderation.Moderation;
import app.galdrin.web.moderation.ModerationDecision;
import app.galdrin.web.moderation.Moderations;
import app.galdrin.web.papers.Papers;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.Words;
import java.math.BigDecimal;
import java.security.SecureRandom;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Drawing samples, deciding on their sheets, and the report. */
@Controller
class ModerationController {

    private static final int HIGHEST_SEED = 999_999;
    private static final int MOST_BORDERLINE = 20;

    private final Moderations moderations;
    private final Tasks tasks;
    private final Papers papers;
    private final SecureRandom random = new SecureRandom();

    ModerationController(Moderations moderations, Tasks tasks, Papers papers) {
        this.moderations = moderations;
        this.tasks = tasks;
        this.papers = papers;
    }

    @GetMapping("/marking/moderation")
    String list(@AuthenticationPrincipal SignedIn me, Model model) {
        model.addAttribute("moderations", moderations.list(me.centreId()));
        Set<UUID> drawable = moderations.drawable(me.centreId());
        model.addAttribute(
                "tasks",
                tasks.list(me.centreId(), false).stream()
                        .filter(t -> drawable.contains(t.id()))
                        .toList());
        model.addAttribute("mayDraw", me.is(Role.VERIFIER));
        model.addAttribute("key", Ids.next());
        model.addAttribute("seed", random.nextInt(HIGHEST_SEED) + 1);
        return "moderation/list";
    }

    @PostMapping("/marking/moderation")
    String draw(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam UUID task,
            @RequestParam UUID key,
            @RequestParam String seed,
            @RequestParam String percent,
            @RequestParam String borderline,
            RedirectAttributes flash) {
        TaskVersion version = tasks.task(me.centreId(), task);
        OptionalInt share = WholeNumber.read(percent, 0, 100);
        OptionalInt near = WholeNumber.read(borderline, 0, MOST_BORDERLINE);
        OptionalInt from = WholeNumber.read(seed, 0, HIGHEST_SEED);
        Optional<Sentence> refused = wrong(share, percent, 100)
                .or(() -> wrong(near, borderline, MOST_BORDERLINE))
                .or(() -> wrong(from, seed, HIGHEST_SEED));
        Optional<UUID> drawn = refused.isPresent()
                ? Optional.empty()
                : moderations.draw(
                        me, version, key, from.getAsInt(), share.getAsInt(), BigDecimal.valueOf(near.getAsInt()));
        if (drawn.isEmpty()) {
            flash.addFlashAttribute("refused", refused.orElseGet(() -> Sentence.of("moderation.nothing")));
            flash.addFlashAttribute(
                    "typed",
                    Map.of("seed", seed, "percent", percent, "borderline", borderline, "task", task.toString()));
        }
        return drawn.map(id -> "redirect:/marking/moderation/" + id).orElse("redirect:/marking/moderation");
    }

    private static Optional<Sentence> wrong(OptionalInt read, String typed, int most) {
        return read.isEmpty() ? Optional.of(Sentence.of("field.whole", Words.quote(typed), 0, most)) : Optional.empty();
    }

    @GetMapping("/marking/moderation/{id:[0-9a-f-]{36}}")
    String one(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, Model model) {
        Moderation moderation = moderations.one(me, id);
        model.addAttribute("moderation", moderation);
        model.addAttribute("sheets", moderations.sheets(moderation));
        model.addAttribute("mayDecide", me.is(Role.VERIFIER));
        return "moderation/one";
    }

    @PostMapping("/marking/moderation/{id}/{sittingId}")
    String decide(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @PathVariable UUID sittingId,
            @RequestParam String decision,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(defaultValue = "false") boolean onward,
            RedirectAttributes flash) {
        ModerationDecision said = Keyed.find(ModerationDecision.values(), decision)
                .orElseThrow(() -> new NotThere("decision", Words.quote(decision), me));
        Moderation moderation = moderations.one(me, id);
        Optional<Sentence> refused = moderations.decide(me, moderation, sittingId, said, reason);
        refused.ifPresent(why -> {
            flash.addFlashAttribute("refused", why);
            flash.addFlashAttribute("refusedAt", sittingId);
            flash.addFlashAttribute("typedReason", reason);
        });
        if (onward) {
            // decided on its evidence: on to the next, or back to it with what was refused
            Optional<String> shown = refused.isPresent()
                    ? evidence(moderation, sittingId)
                    : moderations.next(moderation, sittingId).flatMap(s -> evidence(moderation, s.sittingId()));
            if (shown.isPresent()) {
                return "redirect:" + shown.get();
            }
        }
        return "redirect:/marking/moderation/" + id + "#s-" + sittingId;
    }

    private Optional<String> evidence(Moderation moderation, UUID sittingId) {
        return moderations.sheets(moderation).stream()
                .filter(s -> s.sittingId().equals(sittingId))
                .findFirst()
                .map(s -> "/marking/" + sittingId + "/stored/" + s.number() + "?sample=" + moderation.id());
    }

    @GetMapping("/marking/moderation/{id}/report.pdf")
    ResponseEntity<byte[]> report(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id) {
        Moderation moderation = moderations.one(me, id);
        return papers.pdf(
                "moderation",
                "moderation-" + moderation.title(),
                Map.of("moderation", moderation, "sheets", moderations.sheets(moderation), "zone", me.zoneId()));
    }
}
