package app.galdrin.web.account.internal;

import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
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

    PeopleController(People people) {
        this.people = people;
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
        if (!errors.hasFieldErrors("signIn") && people.signInTaken(form.signIn())) {
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

    private String page(SignedIn me, Model model) {
        model.addAttribute("people", people.all(me.centreId()));
        model.addAttribute("classes", people.classes(me.centreId()));
        model.addAttribute("roles", Role.values());
        return "account/people";
    }
}
