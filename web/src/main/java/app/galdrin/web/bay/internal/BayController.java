package app.galdrin.web.bay.internal;

import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Bay;
import app.galdrin.web.bay.Bays;
import app.galdrin.web.bay.SurveyWords;
import app.galdrin.web.layout.WholeNumber;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.Words;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.Map;
import java.util.OptionalInt;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The bays of the workshop, and each with its name and the surveys of its floor. */
@Controller
class BayController {

    private static final int LONGEST_NAME = 60;

    private final Bays bays;
    private final SurveyWords surveys;

    BayController(Bays bays, SurveyWords surveys) {
        this.bays = bays;
        this.surveys = surveys;
    }

    @PostMapping("/bays")
    String add(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam String number,
            @RequestParam(defaultValue = "") String name,
            RedirectAttributes flash) {
        OptionalInt read = WholeNumber.read(number, 1, Bay.HIGHEST);
        boolean added = read.isPresent() && fits(name) && bays.add(me.centreId(), read.getAsInt(), name.strip());
        if (!added) {
            flash.addFlashAttribute(
                    "refused",
                    read.isEmpty() || !fits(name)
                            ? Sentence.of("bays.number", Words.quote(number), Bay.HIGHEST, LONGEST_NAME)
                            : Sentence.of("bays.taken", read.getAsInt()));
            flash.addFlashAttribute("typedNumber", number);
            flash.addFlashAttribute("typedName", name);
            return "redirect:/bays";
        }
        return "redirect:/bays/" + read.getAsInt();
    }

    private static boolean fits(String name) {
        return name.strip().length() <= LONGEST_NAME;
    }

    @GetMapping("/bays/{number:[0-9]{1,2}}")
    String one(@AuthenticationPrincipal SignedIn me, @PathVariable int number, Model model) {
        Bay bay = bays.bay(me, number);
        return show(me, bay, SurveyForm.on(LocalDate.now(me.zoneId()), bay.survey()), Map.of(), model);
    }

    private String show(SignedIn me, Bay bay, SurveyForm form, Map<String, Sentence> faults, Model model) {
        model.addAttribute("bay", bay);
        model.addAttribute("form", form);
        model.addAttribute("faults", faults);
        model.addAttribute(
                "history",
                bays.history(me.centreId(), bay.number()).stream()
                        .map(surveys::of)
                        .toList());
        return "bay/one";
    }

    @PostMapping("/bays/{number:[0-9]{1,2}}/name")
    String rename(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable int number,
            @RequestParam String name,
            RedirectAttributes flash) {
        if (fits(name)) {
            bays.rename(me, number, name.strip());
        } else {
            flash.addFlashAttribute("refused", Sentence.of("bays.name.long", LONGEST_NAME));
        }
        return "redirect:/bays/" + number;
    }

    @PostMapping("/bays/{number:[0-9]{1,2}}/surveys")
    String survey(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable int number,
            @ModelAttribute SurveyForm form,
            HttpServletResponse response,
            Model model) {
        Bay bay = bays.bay(me, number);
        Map<String, Sentence> faults = form.faults(LocalDate.now(me.zoneId()));
        if (!faults.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(me, bay, form, faults, model);
        }
        bays.survey(me.centreId(), me.personId(), form.toSurvey(number));
        return "redirect:/bays/" + number;
    }
}
