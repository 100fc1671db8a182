package app.galdrin.web.personal.internal;

import app.galdrin.web.account.Office;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Person;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.Words;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** One person's data: downloaded by anyone who decides on everybody, and erased for good once the name has been typed. */
@Controller
class PersonalDataController {

    private static final int MOST_SHEETS = 5_000;

    private final PersonalDataMapper mapper;
    private final People people;
    private final Office office;
    private final Words words;

    PersonalDataController(PersonalDataMapper mapper, People people, Office office, Words words) {
        this.mapper = mapper;
        this.people = people;
        this.office = office;
        this.words = words;
    }

    /** A JSON document, written sheet by sheet: no connection is held while a slow line takes its time. */
    @GetMapping("/people/{id:[0-9a-f-]{36}}/data.json")
    void download(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, HttpServletResponse response)
            throws IOException {
        Person person = concerned(me, id);
        List<UUID> sheets = mapper.sheets(me.centreId(), person.id(), MOST_SHEETS);
        response.setContentType(MediaType.APPLICATION_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename("personal-data.json")
                        .build()
                        .toString());
        PrintWriter out = response.getWriter();
        out.print("{\"person\": " + mapper.about(me.centreId(), id) + ",\n\"sheets\": [");
        for (int i = 0; i < sheets.size(); i++) {
            out.print((i == 0 ? "\n" : ",\n") + mapper.sheet(me.centreId(), id, sheets.get(i)));
        }
        out.println("\n]}");
    }

    @GetMapping("/people/{id:[0-9a-f-]{36}}/erase")
    String ask(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, Model model) {
        model.addAttribute("person", concerned(me, id));
        model.addAttribute("extent", mapper.extent(me.centreId(), id));
        return "personal/erase";
    }

    @PostMapping("/people/{id:[0-9a-f-]{36}}/erase")
    String erase(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String name,
            RedirectAttributes flash) {
        Person person = concerned(me, id);
        if (!name.strip().equalsIgnoreCase(person.displayName())) {
            flash.addFlashAttribute("refused", Sentence.of("personal.erase.otherName", Words.quote(name.strip())));
            return "redirect:/people/" + id + "/erase";
        }
        int sheets = office.erase(me, id, words.text("personal.erased"));
        flash.addFlashAttribute("done", Sentence.of("personal.erase.done", sheets));
        return "redirect:/people";
    }

    private Person concerned(SignedIn me, UUID id) {
        Person person = people.person(me.centreId(), id);
        if (!office.decidesOnEverybody(me) || !office.decidesOn(me, person)) {
            throw new NotThere("person's data", id, me);
        }
        return person;
    }
}
