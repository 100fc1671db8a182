package app.galdrin.web.account.internal;

import app.galdrin.web.account.Access;
import app.galdrin.web.account.KnownDevices;
import app.galdrin.web.account.PasswordRule;
import app.galdrin.web.account.Passwords;
import app.galdrin.web.account.Sessions;
import app.galdrin.web.account.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** One's own password and sessions. */
@Controller
class MeController {

    private final Passwords passwords;
    private final Sessions sessions;
    private final LimitedSignIn signIns;
    private final KnownDevices devices;

    MeController(Passwords passwords, Sessions sessions, LimitedSignIn signIns, KnownDevices devices) {
        this.passwords = passwords;
        this.sessions = sessions;
        this.signIns = signIns;
        this.devices = devices;
    }

    @GetMapping("/me")
    String me(@AuthenticationPrincipal SignedIn me, HttpServletRequest request, Model model) {
        model.addAttribute("sessions", sessions.own(me, request));
        return "account/me";
    }

    @GetMapping("/me/password")
    String password(@AuthenticationPrincipal SignedIn me, Model model) {
        model.addAttribute("first", me.access() == Access.NEW_PASSWORD);
        return "account/password";
    }

    @PostMapping("/me/password")
    String choose(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam String before,
            @RequestParam String password,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model,
            RedirectAttributes flash) {
        Optional<String> wrongBefore = wrong(me, before, request);
        Optional<String> fault = before.equals(password)
                ? Optional.of("field.password.same")
                : PasswordRule.fault(password, me.displayName(), me.signIn());
        if (wrongBefore.isPresent() || fault.isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("wrongBefore", wrongBefore.orElse(null));
            model.addAttribute("fault", fault.orElse(null));
            return password(me, model);
        }
        Optional<SignedIn> now = passwords.choose(me, password);
        if (now.isEmpty()) {
            return "redirect:/sign-in?ended";
        }
        sessions.start(now.get(), request, response);
        devices.remember(now.get(), request, response);
        flash.addFlashAttribute("said", "me.password.chosen");
        return "redirect:/me";
    }

    /** The password from before is checked as at the door: as often, and in its turn. */
    private Optional<String> wrong(SignedIn me, String before, HttpServletRequest request) {
        var attempt = UsernamePasswordAuthenticationToken.unauthenticated(me.signIn(), before);
        attempt.setDetails(new SignInDetails(request, devices.device(request)));
        try {
            signIns.authenticate(attempt);
            return Optional.empty();
        } catch (TooManyAttempts e) {
            return Optional.of("sign-in.wait");
        } catch (TooBusy e) {
            return Optional.of("sign-in.busy");
        } catch (AuthenticationException e) {
            return Optional.of("me.password.wrong");
        }
    }

    @PostMapping("/me/sessions/{id:[0-9a-f-]{36}}/end")
    String end(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, RedirectAttributes flash) {
        sessions.end(me, id);
        flash.addFlashAttribute("said", "me.session.ended");
        return "redirect:/me";
    }

    @PostMapping("/me/sessions/end")
    String endOthers(@AuthenticationPrincipal SignedIn me, HttpServletRequest request, RedirectAttributes flash) {
        sessions.endOthers(me, request);
        flash.addFlashAttribute("said", "me.sessions.ended");
        return "redirect:/me";
    }
}
