package app.galdrin.web.baysheet.internal;

import app.galdrin.core.answer.LineText;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.spec.Stance;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Step;
import app.galdrin.web.account.Access;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Standings;
import app.galdrin.web.baysheet.Fields;
import app.galdrin.web.baysheet.SheetSpeech;
import app.galdrin.web.baysheet.StepSheets;
import app.galdrin.web.baysheet.WrittenSheet;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.marking.EvidenceWords;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Entries.Outcome;
import app.galdrin.web.sitting.Entry;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.NewEntry;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingEquipment;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.StaffLine;
import app.galdrin.web.sitting.Tape;
import app.galdrin.web.sitting.VehicleMoves;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.sitting.VehicleUses;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.TargetWords;
import app.galdrin.web.words.Words;
import app.galdrin.web.workshop.VehicleCards;
import jakarta.servlet.http.HttpServletResponse;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
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
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The sheet at the bay, one page; with a script each entry is sent as it is written, without one by the button of its step. */
@Controller
class BaySheetController {

    /** A poor line takes as long to bring an entry. */
    private static final long SLOW_LINE_MILLIS = 5_000;

    /** The pages that have a flag. */
    private static final Pattern BACK =
            Pattern.compile("/(tasks/[0-9a-f-]{36}|sittings/[0-9a-f-]{36}\\?step=[a-zA-Z0-9]{1,40})");

    /** The device of a form that was sent without scripts. */
    private static final String NO_SCRIPT = "form";

    /** Added to a field's name for the way beside its size. */
    private static final String SENSE = ".sense";

    private static final int MOST_SEEN = 8;

    private final Sittings sittings;
    private final VehicleReferences vehicles;
    private final VehicleUses uses;
    private final VehicleMoves moves;
    private final Standings standings;
    private final VehicleCards cards;
    private final SittingEquipment equipment;
    private final Entries entries;
    private final SittingMarks sittingMarks;
    private final MarkSheets sheets;
    private final Tasks tasks;
    private final SheetSpeech speech;
    private final StepSheets kinds;
    private final BlankSheets blank = new BlankSheets();

    BaySheetController(
            Sittings sittings,
            VehicleReferences vehicles,
            VehicleUses uses,
            VehicleMoves moves,
            Standings standings,
            VehicleCards cards,
            SittingEquipment equipment,
            Entries entries,
            SittingMarks sittingMarks,
            MarkSheets sheets,
            Tasks tasks,
            EvidenceWords evidence,
            StepWords names,
            TargetWords targets,
            Words words,
            StepSheets kinds) {
        this.sittings = sittings;
        this.vehicles = vehicles;
        this.uses = uses;
        this.moves = moves;
        this.standings = standings;
        this.cards = cards;
        this.equipment = equipment;
        this.entries = entries;
        this.sittingMarks = sittingMarks;
        this.sheets = sheets;
        this.tasks = tasks;
        this.kinds = kinds;
        this.speech = new SheetSpeech(words, names, targets, evidence);
    }

    @GetMapping("/sittings")
    String own(@AuthenticationPrincipal SignedIn me, Model model) {
        model.addAttribute("sittings", sittings.own(me));
        model.addAttribute("remarked", sheets.remarkedOf(me));
        return "baysheet/sittings";
    }

    /** The instructor's own readings of a vehicle as it stands in a bay; begun if it is the first time. */
    @PostMapping("/tasks/{taskId}/reference")
    String reference(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID taskId,
            @RequestParam(defaultValue = "0") int bay) {
        return "redirect:/sittings/" + vehicles.referenceAsFound(me, tasks.task(me.centreId(), taskId), bay);
    }

    /** The instructor's own readings of a vehicle as an apprentice left it. */
    @PostMapping("/marking/{sittingId}/reference")
    String asLeftReference(@AuthenticationPrincipal SignedIn me, @PathVariable UUID sittingId) {
        return "redirect:/sittings/" + vehicles.referenceAsLeft(me, sittings.sitting(me, sittingId));
    }

    /** The same once more, asked for from the desk: it waits in the list of what is to be read. */
    @PostMapping("/marking/{sittingId}/reference-again")
    String asLeftAgain(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID sittingId,
            @RequestParam(defaultValue = "false") boolean now) {
        UUID reference = vehicles.referenceAsLeftAgain(me, sittings.sitting(me, sittingId));
        return now ? "redirect:/sittings/" + reference : "redirect:/marking/" + sittingId;
    }

    /**
     * The whole sheet; a script asks for parts of it by themselves.
     *
     * @param step the step that is shown; the first that is not complete where it is left out
     */
    @GetMapping("/sittings/{id:[0-9a-f-]{36}}")
    String sheet(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable String step,
            @RequestParam(required = false) @Nullable String part,
            Model model) {
        Sitting sitting = sittings.sitting(me, id);
        if (part == null) {
            show(me, sitting, step, Map.of(), model);
            return "baysheet/sheet";
        }
        SheetMaker maker = maker(sitting, Map.of());
        Step wanted = named(maker, part, me);
        model.addAttribute("v", maker.view(wanted));
        model.addAttribute("closed", isClosed(me, sitting));
        return "baysheet/panel :: part";
    }

    private SheetMaker maker(Sitting sitting, Map<LineKey, Fields.Refusal> refused) {
        Log log = sittings.log(sitting);
        return new SheetMaker(new WrittenSheet(sitting, sittingMarks.assignment(sitting), log, refused, speech), kinds);
    }

    private static Step named(SheetMaker maker, String step, SignedIn me) {
        return maker.steps().stream()
                .filter(s -> s.id().equals(step))
                .findFirst()
                .orElseThrow(() -> new NotThere("step", Words.quote(step), me));
    }

    private void show(
            SignedIn me, Sitting sitting, @Nullable String step, Map<LineKey, Fields.Refusal> refused, Model model) {
        SheetMaker maker = maker(sitting, refused);
        Step shown = step == null ? maker.next() : named(maker, step, me);
        model.addAttribute("page", maker.page(shown.id(), blank));
        model.addAttribute("closed", isClosed(me, sitting));
        boolean answers = me.is(Role.INSTRUCTOR) && sitting.state().flagged();
        model.addAttribute(
                "takeBackUntil",
                Entries.isWriter(me, sitting) ? sittings.takeBackUntil(sitting).orElse(null) : null);
        Log log = sittings.log(sitting);
        model.addAttribute("givenBack", sitting.state().handedIn() ? "" : log.givenBack());
        model.addAttribute("cameFrom", sitting.state().handedIn() ? "" : log.cameFrom());
        model.addAttribute("waitsFor", uses.waitsFor(sitting).orElse(null));
        List<SittingEquipment.KindOfSitting> kinds = equipment.of(sitting, LocalDate.now(me.zoneId()));
        model.addAttribute("equipment", kinds);
        model.addAttribute("readWith", SittingEquipment.names(kinds));
        model.addAttribute("standsOtherwise", isClosed(me, sitting) ? List.of() : standsOtherwise(sitting));
        model.addAttribute(
                "putBack",
                moves.isLeftBy(me, sitting) ? cards.now(me, sitting.sheet()).orElse(null) : null);
        model.addAttribute("beganOn", cards.leftOrPutBack(me, sitting.stateId()).orElse(null));
        model.addAttribute("calls", !sitting.isReference() && (Entries.isWriter(me, sitting) || answers));
    }

    /** Returns the measurements for which the vehicle has to stand otherwise than it was recorded, a sentence each. */
    private List<String> standsOtherwise(Sitting sitting) {
        Stance now = standings.stance(sitting.centreId(), sitting.stateId());
        return sitting.task()
                .practical()
                .of(Measure.class)
                .map(measure -> measure.on(sitting.sheet().sheet()))
                .filter(measure -> !measure.stance().isMetBy(now))
                .map(measure -> speech.words()
                        .text(
                                now.isAny() ? "stance.unknown" : "stance.off",
                                speech.names().title(measure),
                                cards.stance(measure.stance()),
                                cards.stance(now)))
                .toList();
    }

    private static boolean isClosed(SignedIn me, Sitting sitting) {
        return sitting.state().handedIn() || !Entries.isWriter(me, sitting);
    }

    /**
     * A step's form without a script: everything that was typed and can be read is written, the rest comes back.
     *
     * @param seen how many entries the sitting had when the form was shown
     */
    @PostMapping("/sittings/{id:[0-9a-f-]{36}}")
    String write(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String step,
            @RequestParam(defaultValue = "0") int seen,
            @RequestParam Map<String, String> form,
            HttpServletResponse response,
            Model model) {
        Sitting sitting = sittings.sitting(me, id);
        SheetMaker maker = maker(sitting, Map.of());
        Map<LineKey, Fields.Refusal> refused = new HashMap<>();
        Log log = sittings.log(me.centreId(), id);
        Log shown = log.until(seen);
        for (LineKey key : maker.keys(named(maker, step, me))) {
            if (!leftAlone(log, key, form)) {
                write(me, sitting, shown, key, form).ifPresent(bad -> refused.put(key, bad));
            }
        }
        if (refused.isEmpty()) {
            return "redirect:/sittings/" + id + "?step=" + step;
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        show(me, sittings.sitting(me, id), step, refused, model);
        return "baysheet/sheet";
    }

    /** A form carries everything that stands; what is left as it is is not written again. */
    private static boolean leftAlone(Log log, LineKey key, Map<String, String> form) {
        String typed = typed(form, key).strip();
        boolean asItStands = log.allAt(key).size() == 1
                && log.at(key).filter(e -> e.written().equals(typed)).isPresent();
        return !key.key().equals(form.get("strike")) && (typed.isEmpty() || asItStands);
    }

    private Optional<Fields.Refusal> write(
            SignedIn me, Sitting sitting, Log shown, LineKey key, Map<String, String> form) {
        String typed = typed(form, key);
        List<String> saw = shown.allAt(key).stream().map(Entry::key).toList();
        String entryKey = entryKey(form.getOrDefault("form", Ids.next().toString()), key);
        NewEntry entry = key.key().equals(form.get("strike"))
                ? NewEntry.now(key, "", saw, entryKey + "-strike", NO_SCRIPT).asStrike()
                : NewEntry.now(key, typed, saw, entryKey, NO_SCRIPT);
        return entries.write(me, sitting, entry) instanceof Entries.Outcome.Refusal no
                ? Optional.of(new Fields.Refusal(typed, speech.words().text(no.why())))
                : Optional.empty();
    }

    /** The same for the same line of the same form, so that a form sent twice is written once. */
    private static String entryKey(String form, LineKey line) {
        return UUID.nameUUIDFromBytes((form + " " + line.key()).getBytes(StandardCharsets.UTF_8))
                .toString();
    }

    /** Returns what was typed for a line; a size with the way chosen beside it. */
    private static String typed(Map<String, String> form, LineKey key) {
        String text = form.getOrDefault(key.key(), "");
        String sense = form.getOrDefault(key.key() + SENSE, "");
        return sense.isEmpty() || text.isBlank() ? text : LineText.withSense(text.strip(), sense);
    }

    private static List<String> seen(String keys) {
        return Arrays.stream(keys.split(",", -1))
                .filter(key -> key.matches("[A-Za-z0-9-]{8,80}"))
                .limit(MOST_SEEN)
                .toList();
    }

    /** Takes the hand-in back. */
    @PostMapping("/sittings/{id:[0-9a-f-]{36}}/take-back")
    String takeBack(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String key,
            RedirectAttributes flash) {
        if (entries.takeBack(me, sittings.sitting(me, id), key) instanceof Entries.Outcome.Refusal no) {
            flash.addFlashAttribute("refused", no.why());
        }
        return "redirect:/sittings/" + id;
    }

    /**
     * Status of a sheet for a page that is open on it.
     *
     * @param stands what a page has to be loaded again for when it changes: {@link Sitting#stands}
     * @param seq how many entries it has
     */
    record SheetStatus(String stands, int seq) {}

    @GetMapping("/sittings/{id:[0-9a-f-]{36}}/status")
    @ResponseBody
    SheetStatus standing(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id) {
        Sitting sitting = sittings.sitting(me, id);
        return new SheetStatus(sitting.stands(), sitting.state().lastSeq());
    }

    /** Raises or lowers the flag that calls the instructor. */
    @PostMapping("/sittings/{id:[0-9a-f-]{36}}/flag")
    String flag(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String text,
            @RequestParam String key,
            @RequestParam String back) {
        Sitting sitting = sittings.sitting(me, id);
        entries.write(me, sitting, NewEntry.now(StaffLine.FLAG, text, List.of(), key, NO_SCRIPT));
        return "redirect:" + (BACK.matcher(back).matches() ? back : "/sittings/" + id);
    }

    /**
     * Answer to a script that sent an entry.
     *
     * @param ok whether it is on the log now; otherwise it never will be, and the script moves it aside
     * @param echo as it was understood
     * @param number what was understood, in mm, degrees or a count, with its sign
     * @param error why it is not written
     * @param seq how many entries the sitting has
     * @param disputed whether something else stands on the line as well
     * @param late whether it waits for the instructor
     * @param calls whether it has called the instructor
     */
    record Answer(
            boolean ok,
            String echo,
            @Nullable BigDecimal number,
            @Nullable String error,
            int seq,
            boolean disputed,
            boolean late,
            boolean calls) {}

    /**
     * Returns by how much a device's clock is behind, ms. A delay that a slow line explains is not counted, or entries would be dated later than they
     * are.
     */
    private static long clockOffset(long behind) {
        return behind > 0 && behind <= SLOW_LINE_MILLIS ? 0 : behind;
    }

    @PostMapping("/sittings/{id:[0-9a-f-]{36}}/entries")
    @ResponseBody
    Answer entry(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String line,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "false") boolean strike,
            @RequestParam(defaultValue = "") String saw,
            @RequestParam String key,
            @RequestParam(defaultValue = "0") long deviceSeq,
            @RequestParam(defaultValue = "0") long writtenAt,
            @RequestParam(defaultValue = "0") long sentAt,
            @RequestHeader("X-Galdrin-Device") String device,
            HttpServletResponse response) {
        if (!key.matches("[A-Za-z0-9-]{8,80}") || !device.matches("[A-Za-z0-9-]{1,40}")) {
            throw new NotThere("entry key", Words.quote(key), me);
        }
        Sitting sitting = sittings.sitting(me, id);
        LineKey where = LineKey.parse(line).orElseThrow(() -> new NotThere("line", Words.quote(line), me));
        Instant now = Instant.now();
        long offset = sentAt == 0 ? 0 : clockOffset(now.toEpochMilli() - sentAt);
        Instant at = writtenAt == 0 ? now : Instant.ofEpochMilli(writtenAt);
        var entry = new NewEntry(where, text, strike, seen(saw), key, device, deviceSeq, at, offset);
        boolean ofStaff = StaffLine.isOutsideTask(where) && !Tape.isTape(where);
        if (me.access() == Access.DELIVERY && (me.endedBefore(entry.corrected()) || ofStaff)) {
            response.setStatus(HttpStatus.UNAUTHORIZED.value()); // it stays on the device until somebody signs in there
            return new Answer(false, "", null, null, 0, false, false, false);
        }
        var outcome = entries.write(me, sitting, entry);
        if (outcome instanceof Entries.Outcome.Refusal no) {
            return new Answer(
                    false,
                    "",
                    null,
                    speech.words().text(no.why()),
                    sitting.state().lastSeq(),
                    false,
                    false,
                    false);
        }
        var stands = (Outcome.Stands) outcome;
        boolean nothingToSay = stands.entry().isStrike() || StaffLine.isOutsideTask(where);
        String echo = nothingToSay ? "" : SheetMaker.echo(sitting, stands.entry(), kinds, speech.words());
        return new Answer(
                true,
                echo,
                stands.entry().value(),
                null,
                stands.entry().seq(),
                stands.disputed(),
                stands.entry().late(),
                stands.calls());
    }
}
