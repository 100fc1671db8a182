package app.galdrin.web.account.internal;

import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.Sessions;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;

/** Signing in, and making the first instructor where there is nobody yet. */
@Controller
class SignInController {

    private final People people;
    private final Sessions sessions;

    SignInController(People people, Sessions sessions) {
        this.people = people;
        this.sessions = sessions;
    }

    @GetMapping("/sign-in")
    String signIn() {
        return people.nobody() ? "redirect:/first-run" : "account/sign-in";
    }

    @GetMapping("/first-run")
    String firstRun(Model model) {
        if (!people.nobody()) {
            return "redirect:/sign-in";
        }
        model.addAttribute("form", FirstRunForm.empty());
        return "account/first-run";
    }

    @PostMapping("/first-run")
    String makeFirst(
            @Valid @ModelAttribute("form") FirstRunForm form,
            BindingResult errors,
            HttpServletRequest request,
            HttpServletResponse response) {
        if (!people.nobody()) {
            return "redirect:/sign-in";
        }
        if (errors.hasErrors()) {
            return "account/first-run";
        }
        UUID centre = people.makeCentre(form.centre(), form.zone());
        UUID person = people.add(centre, Role.INSTRUCTOR, form.displayName(), form.signIn(), form.password());
        sessions.start(people.session(centre, person), request, response);
        return "redirect:/people";
    }
}
