package app.galdrin.web.marking.internal;

import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.sitting.SittingState;
import app.galdrin.web.sitting.SittingSummary;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.words.Sentence;
import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The queue of sheets to mark, and what is released of it a class at a time. */
@Controller
class QueueController {

    private final Sittings sittings;
    private final MarkSheets sheets;
    private final MarkSheetPages pages;

    QueueController(Sittings sittings, MarkSheets sheets, MarkSheetPages pages) {
        this.sittings = sittings;
        this.sheets = sheets;
        this.pages = pages;
    }

    /**
     * Sheets handed in for one task.
     *
     * @param signed how many of them can be released
     */
    record OfTask(UUID taskId, String title, List<SittingSummary> sittings, long signed) {
        static List<OfTask> group(List<SittingSummary> all) {
            Map<UUID, List<SittingSummary>> byTask = all.stream()
                    .collect(Collectors.groupingBy(SittingSummary::taskId, LinkedHashMap::new, Collectors.toList()));
            return byTask.entrySet().stream()
                    .map(e -> new OfTask(
                            e.getKey(),
                            e.getValue().get(0).title(),
                            e.getValue(),
                            e.getValue().stream().filter(SittingSummary::signed).count()))
                    .toList();
        }

        /** Returns when apprentices see what was released last. */
        public Instant shownFrom() {
            return sittings.stream()
                    .map(SittingSummary::releasedAt)
                    .filter(Objects::nonNull)
                    .max(Comparator.naturalOrder())
                    .orElse(Instant.EPOCH);
        }
    }

    /**
     * Returns what waits, task by task.
     *
     * @param name letters of an apprentice's name or of a task's title; all where it is empty
     * @param state one of the states; all where it is empty
     */
    @GetMapping("/marking")
    String queue(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String state,
            Model model) {
        List<SittingSummary> waiting = sittings.toMark(me.centreId());
        List<SittingSummary> released = sittings.released(me.centreId());
        Predicate<SittingSummary> wanted = s -> (state.isEmpty() || s.state().equals(state))
                && (contains(s.names(), name) || contains(s.title(), name));
        model.addAttribute("tasks", OfTask.group(waiting.stream().filter(wanted).toList()));
        model.addAttribute(
                "states", waiting.stream().map(SittingSummary::state).distinct().toList());
        model.addAttribute("name", name);
        model.addAttribute("state", state);
        model.addAttribute("any", !waiting.isEmpty());
        model.addAttribute("mayMark", me.is(Role.INSTRUCTOR));
        model.addAttribute(
                "soon", OfTask.group(released.stream().filter(s -> !s.shown()).toList()));
        model.addAttribute(
                "released",
                released.stream().filter(SittingSummary::shown).filter(wanted).toList());
        model.addAttribute("toRead", sittings.toReadAgain(me.centreId()));
        model.addAttribute("minutes", SittingState.BEFORE_SHOWN.toMinutes());
        return "marking/queue";
    }

    private static boolean contains(String text, String part) {
        return text.toLowerCase(Locale.ROOT).contains(part.strip().toLowerCase(Locale.ROOT));
    }

    /** Releases what is signed of a task as it stands; says how many, and how many wait for something. */
    @PostMapping("/marking/class/{taskId}/release")
    String releaseTask(@AuthenticationPrincipal SignedIn me, @PathVariable UUID taskId, RedirectAttributes flash) {
        int released = 0;
        int waiting = 0;
        for (SittingSummary summary : sittings.toMark(me.centreId())) {
            if (summary.signed() && summary.taskId().equals(taskId)) {
                boolean done = sheets.releaseSoon(
                                me,
                                pages.practical(me, summary.id()),
                                UUID.randomUUID().toString())
                        .isEmpty();
                released += done ? 1 : 0;
                waiting += done ? 0 : 1;
            }
        }
        flash.addFlashAttribute(
                "done", Sentence.of("marking.releasedTask", released, waiting, SittingState.BEFORE_SHOWN.toMinutes()));
        return "redirect:/marking";
    }

    /** Takes back what was released of a task and has not been shown yet. */
    @PostMapping("/marking/class/{taskId}/take-back")
    String takeBack(@AuthenticationPrincipal SignedIn me, @PathVariable UUID taskId, RedirectAttributes flash) {
        long taken = sittings.released(me.centreId()).stream()
                .filter(s -> !s.shown() && s.taskId().equals(taskId))
                .filter(s -> sheets.takeBack(
                                me,
                                pages.practical(me, s.id()),
                                UUID.randomUUID().toString())
                        .isEmpty())
                .count();
        flash.addFlashAttribute("done", Sentence.of("marking.takenBack", taken));
        return "redirect:/marking";
    }
}
