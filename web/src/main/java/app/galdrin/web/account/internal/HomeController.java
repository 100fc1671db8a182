package app.galdrin.web.account.internal;

import app.galdrin.web.account.SignedIn;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The first page is where a role's work begins. */
@Controller
class HomeController {

    @GetMapping("/")
    String home(@AuthenticationPrincipal SignedIn me) {
        return switch (me.role()) {
            case INSTRUCTOR -> "redirect:/tasks";
            case APPRENTICE -> "redirect:/sittings";
            case VERIFIER -> "redirect:/marking";
            case OFFICE -> "redirect:/people";
        };
    }
}
