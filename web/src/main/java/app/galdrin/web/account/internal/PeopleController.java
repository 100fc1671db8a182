package app.galdrin.web.account.internal;

import app.galdrin.core.quantity.AngleDisplay;
import app.galdrin.core.quantity.LengthDisplay;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.Sessions;
import app.galdrin.web.account.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** People and classes of a centre. */
@Controller
class PeopleController {

    private static final int LONGEST_CLASS_NAME = 80;

    private final People people;
    private final Sessions sessions;

    PeopleController(People people, Sessions sessions) {
        this.people = people;
        this.sessions = sessions;
    }

    @GetMapping("/people")
    String list(@AuthenticationPrincipal SignedIn me, Model model) {
        model.addAttribute("form", PersonForm.empty());
        return page(me, model);
    }

    @PostMapping("/people")
    String add(
            @AuthenticationPrincipal SignedIn me,
            @Valid @ModelAttribute("form") PersonForm form,
            BindingResult errors,
            Model model,
            RedirectAttributes flash) {
        if (!errors.hasFieldErrors("signIn") && people.bySignIn(form.signIn()).isPresent()) {
            errors.rejectValue("signIn", "field.signIn.taken");
        }
        if (errors.hasErrors()) {
            return page(me, model);
        }
        people.add(me.centreId(), form.role(), form.displayName(), form.signIn(), form.password());
        flash.addFlashAttribute("added", form.displayName());
        return "redirect:/people";
    }

    @PostMapping("/people/classes")
    String makeClass(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam String name,
            @RequestParam(defaultValue = "") List<UUID> members,
            RedirectAttributes flash) {
        boolean fits = !name.isBlank() && name.length() <= LONGEST_CLASS_NAME;
        boolean taken =
                people.classes(me.centreId()).stream().anyMatch(c -> c.name().equals(name.strip()));
        if (!fits || taken || members.isEmpty()) {
            flash.addFlashAttribute("classError", taken ? "people.class.taken" : "people.class.incomplete");
            flash.addFlashAttribute("className", name);
        } else {
            people.makeClass(me.centreId(), name.strip(), members);
        }
        return "redirect:/people";
    }

    /** The one who chooses sees it at once, everyone else of the centre from the next sign-in. */
    @PostMapping("/people/units")
    String show(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam LengthDisplay lengths,
            @RequestParam AngleDisplay angles,
            HttpServletRequest request,
            HttpServletResponse response,
            RedirectAttributes flash) {
        people.show(me.centreId(), lengths, angles);
        sessions.start(me.seeing(lengths, angles), request, response);
        flash.addFlashAttribute("lengthsChosen", lengths.key());
        flash.addFlashAttribute("anglesChosen", angles.key());
        return "redirect:/people";
    }

    private String page(SignedIn me, Model model) {
        model.addAttribute("people", people.all(me.centreId()));
        model.addAttribute("classes", people.classes(me.centreId()));
        model.addAttribute("roles", Role.values());
        model.addAttribute("lengths", me.lengths());
        model.addAttribute("lengthDisplays", LengthDisplay.values());
        model.addAttribute("angles", me.angles());
        model.addAttribute("angleDisplays", AngleDisplay.values());
        return "account/people";
    }
}
