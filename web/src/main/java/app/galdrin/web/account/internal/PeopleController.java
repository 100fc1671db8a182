package app.galdrin.web.account.internal;

import app.galdrin.core.quantity.AngleDisplay;
import app.galdrin.core.quantity.LengthDisplay;
import app.galdrin.web.account.Office;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Person;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import jakarta.validation.Valid;
import java.io.Serializable;
import java.util.List;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.ServletRequestBindingException;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** People and classes of a centre. */
@Controller
class PeopleController {

    private static final String SIGN_IN = "signIn";
    private static final int LONGEST_CLASS_NAME = 80;
    private static final int LONGEST_NAME = 120;

    private final People people;
    private final Office office;

    PeopleController(People people, Office office) {
        this.people = people;
        this.office = office;
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
            RedirectAttributes flash)
            throws ServletRequestBindingException {
        BoundForm.orRefused(errors);
        if (!errors.hasFieldErrors(SIGN_IN) && people.isTaken(form.signIn())) {
            errors.rejectValue(SIGN_IN, "field.signIn.taken");
        }
        if (errors.hasErrors()) {
            return page(me, model);
        }
        String password;
        try {
            password = office.add(me, Role.valueOf(form.role()), form.displayName(), form.signIn());
        } catch (DuplicateKeyException e) { // somebody was quicker
            errors.rejectValue(SIGN_IN, "field.signIn.taken");
            return page(me, model);
        }
        flash.addFlashAttribute("handOver", new HandOver(form.displayName(), form.signIn(), password));
        return "redirect:/people";
    }

    /** A one-time password, shown once to anyone who hands it over. */
    record HandOver(String name, String signIn, String password) implements Serializable {}

    @GetMapping("/people/{id:[0-9a-f-]{36}}")
    String person(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, Model model) {
        Person person = people.person(me.centreId(), id);
        model.addAttribute("person", person);
        model.addAttribute("hours", Office.HOURS);
        model.addAttribute("decides", office.decidesOn(me, person));
        model.addAttribute("roles", office.decidesOn(me));
        model.addAttribute("decidesOnEverybody", office.decidesOnEverybody(me));
        return "account/person";
    }

    @PostMapping("/people/{id}/active")
    String activate(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam boolean active,
            RedirectAttributes flash) {
        office.activate(me, id, active);
        flash.addFlashAttribute("said", active ? "person.activated" : "person.deactivated");
        return "redirect:/people/" + id;
    }

    @PostMapping("/people/{id}/name")
    String rename(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String displayName,
            RedirectAttributes flash) {
        String name = displayName.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            flash.addFlashAttribute("said", "person.name.wrong");
        } else {
            office.rename(me, id, name);
            flash.addFlashAttribute("said", "person.renamed");
        }
        return "redirect:/people/" + id;
    }

    @PostMapping("/people/{id}/role")
    String giveRole(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam Role role,
            RedirectAttributes flash) {
        office.giveRole(me, id, role);
        flash.addFlashAttribute("said", "person.roleGiven");
        return "redirect:/people/" + id;
    }

    @PostMapping("/people/{id}/reset")
    String reset(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, RedirectAttributes flash) {
        Person person = people.person(me.centreId(), id);
        String password = office.reset(me, id);
        flash.addFlashAttribute("handOver", new HandOver(person.displayName(), person.signIn(), password));
        return "redirect:/people/" + id;
    }

    @PostMapping("/people/classes")
    String makeClass(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam String name,
            @RequestParam(defaultValue = "") List<UUID> members,
            RedirectAttributes flash) {
        boolean fits = !name.isBlank() && name.length() <= LONGEST_CLASS_NAME;
        boolean taken = fits
                && !members.isEmpty()
                && people.makeClass(me.centreId(), name.strip(), members).isEmpty();
        if (!fits || taken || members.isEmpty()) {
            flash.addFlashAttribute("classError", taken ? "people.class.taken" : "people.class.incomplete");
            flash.addFlashAttribute("className", name);
        }
        return "redirect:/people";
    }

    @PostMapping("/people/units")
    String show(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam LengthDisplay lengths,
            @RequestParam AngleDisplay angles,
            RedirectAttributes flash) {
        people.show(me.centreId(), lengths, angles);
        flash.addFlashAttribute("lengthsChosen", lengths.key());
        flash.addFlashAttribute("anglesChosen", angles.key());
        return "redirect:/people";
    }

    private String page(SignedIn me, Model model) {
        model.addAttribute("people", people.all(me.centreId()));
        model.addAttribute("classes", people.classes(me.centreId()));
        model.addAttribute("roles", office.decidesOn(me));
        model.addAttribute("hours", Office.HOURS);
        model.addAttribute("lengths", me.lengths());
        model.addAttribute("lengthDisplays", LengthDisplay.values());
        model.addAttribute("angles", me.angles());
        model.addAttribute("angleDisplays", AngleDisplay.values());
        return "account/people";
    }
}
