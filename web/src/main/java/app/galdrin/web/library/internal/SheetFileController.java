package app.galdrin.web.library.internal;

import app.galdrin.core.spec.written.SheetDocument;
import app.galdrin.core.spec.written.SheetTable;
import app.galdrin.core.spec.written.SheetWriter;
import app.galdrin.core.spec.written.WrittenSheet;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.words.Words;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

/** Sheets go to other workshops as files, and come from them. */
@Controller
class SheetFileController {

    private final Library library;
    private final Words words;
    private final SheetFormPages pages;

    SheetFileController(Library library, Words words) {
        this.library = library;
        this.words = words;
        this.pages = new SheetFormPages(words);
    }

    @GetMapping("/vehicles/import")
    String importPage(Model model) {
        model.addAttribute("text", "");
        model.addAttribute("faults", List.of());
        return "library/import";
    }

    /** Reads a file's text; what is right fills the page on which sheets are written. */
    @PostMapping("/vehicles/import")
    String importText(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam(defaultValue = "") String text,
            HttpServletResponse response,
            Model model) {
        WrittenSheet written = text.stripLeading().startsWith("{") ? SheetDocument.read(text) : SheetTable.read(text);
        List<SheetFormView.Fault> faults = new ArrayList<>();
        if (written instanceof WrittenSheet.Refusal refused) {
            faults.addAll(pages.faults(refused.faults()));
        } else if (written instanceof WrittenSheet.ParsedSheet read) {
            Optional<SheetVersion> standing = library.vehicle(
                            me.centreId(), read.vehicle().registration())
                    .map(id -> library.versions(me.centreId(), id).get(0));
            if (standing.isEmpty() || standing.get().vehicle().equals(read.vehicle())) {
                SheetForm form = SheetForm.of(SheetWriter.draft(read.vehicle(), read.sheet()));
                return pages.show(
                        model, new SheetFormPages.Page(standing, form, "", words.text("sheet.form.imported")));
            }
            faults.add(new SheetFormView.Fault(
                    "",
                    words.text(
                            "sheet.import.otherVehicle",
                            read.vehicle().registration(),
                            standing.get().vehicleName(),
                            read.vehicle().name())));
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("text", text);
        model.addAttribute("faults", faults);
        return "library/import";
    }

    @GetMapping("/vehicles/{sheetId}/sheet.json")
    ResponseEntity<String> json(@AuthenticationPrincipal SignedIn me, @PathVariable UUID sheetId) {
        SheetVersion sheet = library.sheet(me.centreId(), sheetId);
        return file(SheetDocument.write(sheet.draft()), MediaType.APPLICATION_JSON, sheet, "json");
    }

    @GetMapping("/vehicles/{sheetId}/sheet.csv")
    ResponseEntity<String> csv(@AuthenticationPrincipal SignedIn me, @PathVariable UUID sheetId) {
        SheetVersion sheet = library.sheet(me.centreId(), sheetId);
        var type = new MediaType("text", "csv", StandardCharsets.UTF_8);
        return file(SheetTable.write(sheet.draft()), type, sheet, "csv");
    }

    private static ResponseEntity<String> file(String text, MediaType type, SheetVersion sheet, String ending) {
        String name = sheet.registration().replaceAll("[^A-Za-z0-9]+", "-") + "-" + sheet.issue() + ".sheet." + ending;
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(text);
    }
}
