package app.galdrin.web.account.internal;

import app.galdrin.web.account.FirstRun;
import app.galdrin.web.account.PasswordRule;
import app.galdrin.web.account.Sessions;
import app.galdrin.web.account.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.ServletRequestBindingException;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;

/** Signing in, and making the first instructor where there is nobody yet. */
@Controller
class SignInController {

    /** Time zones by region and place, without the short names that mean several. */
    private static final List<String> ZONES = ZoneId.getAvailableZoneIds().stream()
            .filter(zone ->
                    zone.matches("(Africa|America|Antarctica|Asia|Atlantic|Australia|Europe|Indian|Pacific)/.+|UTC"))
            .sorted()
            .toList();

    private final FirstRun firstRun;
    private final Sessions sessions;

    SignInController(FirstRun firstRun, Sessions sessions) {
        this.firstRun = firstRun;
        this.sessions = sessions;
    }

    @GetMapping("/sign-in")
    String signIn() {
        return firstRun.isOpen() ? "redirect:/first-run" : "account/sign-in";
    }

    @GetMapping("/first-run")
    String firstRun(Model model) {
        if (!firstRun.isOpen()) {
            return "redirect:/sign-in";
        }
        model.addAttribute("form", FirstRunForm.empty());
        model.addAttribute("zones", ZONES);
        return "account/first-run";
    }

    @PostMapping("/first-run")
    String makeFirst(
            @Valid @ModelAttribute("form") FirstRunForm form,
            BindingResult errors,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response)
            throws ServletRequestBindingException {
        BoundForm.orRefused(errors);
        if (!firstRun.isOpen()) {
            return "redirect:/sign-in";
        }
        if (!firstRun.isCode(form.code())) {
            errors.rejectValue("code", "field.code");
        }
        PasswordRule.fault(form.password(), form.displayName(), form.signIn(), form.centre())
                .ifPresent(fault -> errors.rejectValue("password", fault));
        if (errors.hasErrors()) {
            model.addAttribute("zones", ZONES);
            return "account/first-run";
        }
        Optional<SignedIn> first = firstRun.begin(
                form.code(), form.centre(), form.zone(), form.displayName(), form.signIn(), form.password());
        if (first.isEmpty()) {
            return "redirect:/sign-in";
        }
        sessions.start(first.get(), request, response);
        return "redirect:/people";
    }
}
