package app.galdrin.web.task.internal;

import app.galdrin.web.account.ClassGroup;
import app.galdrin.web.account.People;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Task packs go out as files and come in from them. */
@Controller
class PackController {

    private final Packs packs;
    private final Tasks tasks;
    private final People people;

    PackController(Packs packs, Tasks tasks, People people) {
        this.packs = packs;
        this.tasks = tasks;
        this.people = people;
    }

    @GetMapping("/tasks/{id}/pack.json")
    ResponseEntity<String> pack(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id) {
        TaskVersion task = tasks.task(me.centreId(), id);
        String name = task.title().replaceAll("[^A-Za-z0-9]+", "-") + ".pack.json";
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(packs.write(task));
    }

    @GetMapping("/tasks/import")
    String importPage(@AuthenticationPrincipal SignedIn me, Model model) {
        return page(me, "", List.of(), Ids.next(), model);
    }

    @PostMapping("/tasks/import")
    String importText(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam(defaultValue = "") String text,
            @RequestParam("class") UUID classId,
            @RequestParam UUID key,
            HttpServletResponse response,
            Model model) {
        if (people.classes(me.centreId()).stream().noneMatch(c -> c.id().equals(classId))) {
            throw new NotThere("class", classId, me);
        }
        Packs.PackImport taken = packs.take(me, text, classId, key);
        if (taken instanceof Packs.PackImport.AsTask set) {
            return "redirect:/tasks/" + set.task();
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page(me, text, ((Packs.PackImport.Refusal) taken).faults(), key, model);
    }

    private String page(SignedIn me, String text, List<String> faults, UUID key, Model model) {
        List<ClassGroup> classes = people.classes(me.centreId());
        model.addAttribute("classes", classes);
        model.addAttribute("text", text);
        model.addAttribute("faults", faults);
        model.addAttribute("key", key);
        return classes.isEmpty() ? "task/nothing-yet" : "task/import";
    }
}
