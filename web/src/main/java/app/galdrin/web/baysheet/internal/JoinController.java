package app.galdrin.web.baysheet.internal;

import app.galdrin.web.account.Access;
import app.galdrin.web.account.Attempts;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Person;
import app.galdrin.web.account.SecretCookie;
import app.galdrin.web.account.Sessions;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Opening;
import app.galdrin.web.task.TaskBay;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * Joining by the code on the instructor's screen: code, then name and bay. A name can be taken once; coming back from another device needs the
 * password, or the instructor, who sees who has joined. Anyone whose answer got lost on its way asks again from the same browser.
 */
@Controller
class JoinController {

    private static final int LONGEST_CODE = 20;

    /** Given with the page that offers the names; signing out takes it away. If nobody signs out, it lasts a while. */
    private static final SecretCookie BROWSER = new SecretCookie(Sessions.JOINING, Duration.ofMinutes(30));

    private final Tasks tasks;
    private final People people;
    private final Sittings sittings;
    private final Sessions sessions;
    private final Attempts attempts;
    private final LookupThrottle slowly = new LookupThrottle();

    JoinController(Tasks tasks, People people, Sittings sittings, Sessions sessions, Attempts attempts) {
        this.tasks = tasks;
        this.people = people;
        this.sittings = sittings;
        this.sessions = sessions;
        this.attempts = attempts;
    }

    @GetMapping("/join")
    String ask(
            @AuthenticationPrincipal @Nullable SignedIn me,
            @RequestParam(defaultValue = "") String code,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        model.addAttribute("code", code);
        model.addAttribute("person", me == null ? null : me.personId());
        if (!code.isBlank() && opening(code, me, request, response, model).isPresent()) {
            BROWSER.give(request, response);
        }
        return "baysheet/join";
    }

    @PostMapping("/join")
    String join(
            @AuthenticationPrincipal @Nullable SignedIn me,
            @RequestParam String code,
            @RequestParam(required = false) @Nullable UUID person,
            @RequestParam(defaultValue = "") String bay,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        model.addAttribute("code", code);
        model.addAttribute("bay", bay);
        model.addAttribute("person", person);
        Optional<Opening> opening = opening(code, me, request, response, model);
        if (opening.isEmpty()) {
            return "baysheet/join";
        }
        Optional<SignedIn> himself =
                Optional.ofNullable(me).filter(m -> m.personId().equals(person));
        Optional<UUID> begun = himself.flatMap(m -> sittings.begunIn(opening.get(), m.personId()));
        if (begun.isPresent()) {
            return "redirect:/sittings/" + begun.get();
        }
        boolean free =
                person != null && free(opening.get(), me, request).stream().anyMatch(p -> p.id().equals(person));
        List<TaskBay> bays = tasks.bays(opening.get().centreId(), opening.get().taskId());
        Optional<TaskBay> place = place(bays, bay);
        Optional<UUID> back = person == null ? Optional.empty() : sittings.comeBack(opening.get(), person);
        if (person == null || !free || (place.isEmpty() && back.isEmpty())) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("error", free ? "join.bay" : "join.name");
            return "baysheet/join";
        }
        Optional<UUID> sitting = back.or(
                () -> sittings.join(opening.get(), person, place.orElseThrow().bay(), BROWSER.hash(request)));
        if (sitting.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            offer(opening.get(), me, request, model);
            model.addAttribute("error", "join.name");
            return "baysheet/join";
        }
        // anyone who has signed in already keeps all that they could see
        if (himself.filter(m -> m.access() == Access.ROLE).isEmpty()) {
            var session = people.session(opening.get().centreId(), person)
                    .joined(opening.get().id());
            sessions.start(session, request, response);
        }
        return "redirect:/sittings/" + sitting.get();
    }

    /** The bay that was chosen; where there is one alone, nobody has to. */
    private static Optional<TaskBay> place(List<TaskBay> bays, String chosen) {
        return bays.size() == 1
                ? Optional.of(bays.get(0))
                : bays.stream()
                        .filter(b -> String.valueOf(b.bay()).equals(chosen))
                        .findFirst();
    }

    /** The opening of a code, with its task and who can join it for the page; a wrong code is counted. */
    private Optional<Opening> opening(
            String code, @Nullable SignedIn me, HttpServletRequest request, HttpServletResponse response, Model model) {
        Optional<Opening> opening = code.length() > LONGEST_CODE ? Optional.empty() : tasks.byCode(code);
        if (opening.isEmpty()) {
            String address = request.getRemoteAddr();
            // a whole college is one address: anyone who has the right code never waits for those who guess
            if (attempts.failsCodes(address) && !slowly.turn(address)) {
                response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
                model.addAttribute("error", "join.wait");
                return opening;
            }
            attempts.wrongCode(address);
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("error", "join.code");
            return opening;
        }
        TaskVersion task = tasks.task(opening.get().centreId(), opening.get().taskId());
        model.addAttribute("task", task);
        model.addAttribute("bays", tasks.bays(task.centreId(), task.id()));
        offer(opening.get(), me, request, model);
        return opening;
    }

    /** The names that are still free, and the sheet of anyone who has one and asks again. */
    private void offer(Opening opening, @Nullable SignedIn me, HttpServletRequest request, Model model) {
        model.addAttribute("names", free(opening, me, request));
        if (me != null) {
            model.addAttribute("begun", sittings.begunIn(opening, me.personId()).orElse(null));
        }
    }

    private List<Person> free(Opening opening, @Nullable SignedIn me, HttpServletRequest request) {
        TaskVersion task = tasks.task(opening.centreId(), opening.taskId());
        List<UUID> taken = new ArrayList<>(sittings.peopleIn(opening));
        if (me == null) {
            BROWSER.hash(request).ifPresent(browser -> taken.removeAll(sittings.justJoinedFrom(opening, browser)));
        }
        taken.removeAll(sittings.welcomeIn(opening));
        return people.classMembers(opening.centreId(), task.classId()).stream()
                .filter(p -> !taken.contains(p.id()))
                .toList();
    }
}
