package app.galdrin.web.account.internal;

import app.galdrin.web.account.ClassGroup;
import app.galdrin.web.account.Classes;
import app.galdrin.web.account.Office;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Person;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.words.Sentence;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The classes of a centre, and a page for each. */
@Controller
class ClassController {

    private final Classes classes;
    private final People people;

    ClassController(Classes classes, People people) {
        this.classes = classes;
        this.people = people;
    }

    @GetMapping("/classes")
    String all(@AuthenticationPrincipal SignedIn me, Model model) {
        model.addAttribute("classes", classes.all(me.centreId()));
        model.addAttribute("most", Classes.MOST_NAMES);
        return "account/classes";
    }

    /** A class of a pasted list of names. */
    @PostMapping("/classes")
    String make(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam String name,
            @RequestParam(defaultValue = "") String names,
            RedirectAttributes flash) {
        List<String> list = Classes.names(names);
        Optional<Sentence> refused =
                classes.nameRefused(me, name).or(() -> list.isEmpty() ? Optional.empty() : Classes.refused(list));
        UUID id = Ids.next();
        if (refused.or(() -> classes.make(me, id, name)).isPresent()) {
            flash.addFlashAttribute("refused", refused.orElseGet(() -> Sentence.of("people.class.taken")));
            flash.addFlashAttribute("typedName", name);
            flash.addFlashAttribute("typedNames", names);
            return "redirect:/classes";
        }
        if (!list.isEmpty()) {
            tell(flash, classes.add(me, id, list));
        }
        return "redirect:/classes/" + id;
    }

    private static void tell(RedirectAttributes flash, Classes.Intake added) {
        flash.addFlashAttribute("newcomers", new ArrayList<>(added.newcomers()));
        flash.addFlashAttribute("known", String.join(", ", added.known()));
    }

    @GetMapping("/classes/{id:[0-9a-f-]{36}}")
    String one(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, Model model) {
        ClassGroup group = classes.one(me, id);
        List<Person> members = people.classMembers(me.centreId(), id);
        model.addAttribute("group", group);
        model.addAttribute("members", members);
        model.addAttribute(
                "others",
                people.all(me.centreId()).stream()
                        .filter(p -> p.active() && p.role() == Role.APPRENTICE && !members.contains(p))
                        .toList());
        model.addAttribute(
                "otherClasses",
                people.classes(me.centreId()).stream()
                        .filter(c -> !c.id().equals(id))
                        .toList());
        model.addAttribute("hours", Office.HOURS);
        model.addAttribute("most", Classes.MOST_NAMES);
        return "account/class";
    }

    @PostMapping("/classes/{id}/name")
    String rename(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String name,
            RedirectAttributes flash) {
        classes.rename(me, id, name).ifPresent(why -> flash.addFlashAttribute("refused", why));
        return "redirect:/classes/" + id;
    }

    @PostMapping("/classes/{id}/names")
    String add(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String names,
            RedirectAttributes flash) {
        List<String> list = Classes.names(names);
        Optional<Sentence> refused = Classes.refused(list);
        if (refused.isPresent()) {
            flash.addFlashAttribute("refused", refused.get());
            flash.addFlashAttribute("typedNames", names);
        } else {
            tell(flash, classes.add(me, id, list));
        }
        return "redirect:/classes/" + id;
    }

    @PostMapping("/classes/{id}/join")
    String join(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, @RequestParam UUID person) {
        classes.join(me, id, person);
        return "redirect:/classes/" + id;
    }

    @PostMapping("/classes/{id}/leave")
    String leave(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam UUID person,
            RedirectAttributes flash) {
        classes.leave(me, id, person);
        flash.addFlashAttribute(
                "done",
                Sentence.of("classes.left", people.person(me.centreId(), person).displayName()));
        return "redirect:/classes/" + id;
    }

    @PostMapping("/classes/{id}/move")
    String move(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam UUID person,
            @RequestParam UUID to,
            RedirectAttributes flash) {
        classes.move(me, id, person, to);
        flash.addFlashAttribute(
                "done",
                Sentence.of(
                        "classes.moved",
                        people.person(me.centreId(), person).displayName(),
                        classes.one(me, to).name()));
        return "redirect:/classes/" + id;
    }

    /** New one-time passwords for everybody of it, shown once on a page to print. */
    @PostMapping("/classes/{id}/passwords")
    String passwords(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, RedirectAttributes flash) {
        flash.addFlashAttribute("newcomers", new ArrayList<>(classes.newPasswords(me, id)));
        return "redirect:/classes/" + id;
    }
}
