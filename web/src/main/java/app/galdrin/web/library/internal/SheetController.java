package app.galdrin.web.library.internal;

import app.galdrin.core.spec.written.Cell;
import app.galdrin.core.spec.written.RowKind;
import app.galdrin.core.spec.written.SheetDraft;
import app.galdrin.core.spec.written.SheetFault;
import app.galdrin.core.spec.written.SheetFaultCode;
import app.galdrin.core.spec.written.SheetReader;
import app.galdrin.core.spec.written.SheetWriter;
import app.galdrin.core.spec.written.WrittenSheet;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.words.Words;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Sheets are written here. Nothing is changed until all of it is right. */
@Controller
class SheetController {

    private static final int LONGEST_REASON = 200;

    private final Library library;
    private final Words words;
    private final SheetFormPages pages;

    SheetController(Library library, Words words) {
        this.library = library;
        this.words = words;
        this.pages = new SheetFormPages(words);
    }

    @GetMapping("/vehicles/new")
    String blank(Model model) {
        return pages.show(model, new SheetFormPages.Page(Optional.empty(), SheetForm.blank(), "", ""));
    }

    @PostMapping("/vehicles/new")
    String add(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam MultiValueMap<String, String> typed,
            HttpServletResponse response,
            Model model,
            RedirectAttributes flash) {
        SheetForm form = changed(typed);
        if (!asked(typed, "check") && !asked(typed, "write")) {
            return pages.show(model, new SheetFormPages.Page(Optional.empty(), form, "", ""));
        }
        WrittenSheet written = SheetReader.read(form.draft());
        if (asked(typed, "write") && written instanceof WrittenSheet.ParsedSheet read) {
            Optional<UUID> id = library.addVehicle(me.centreId(), read, me.personId());
            if (id.isPresent()) {
                flash.addFlashAttribute("written", true);
                return "redirect:/vehicles/" + id.get();
            }
            String registration = read.vehicle().registration();
            written = new WrittenSheet.Refusal(List.of(new SheetFault(
                    RowKind.VEHICLE.key(),
                    Optional.of(Cell.REGISTRATION),
                    SheetFaultCode.TWICE,
                    registration,
                    List.of())));
        }
        return pages.checked(
                model, response, new SheetFormPages.Page(Optional.empty(), form, "", ""), written, List.of());
    }

    @GetMapping("/vehicles/{sheetId}/edit")
    String edit(@AuthenticationPrincipal SignedIn me, @PathVariable UUID sheetId, Model model) {
        SheetVersion sheet = library.sheet(me.centreId(), sheetId);
        SheetVersion newest = newest(me, sheet);
        String note = newest.version() == sheet.version()
                ? ""
                : words.text("sheet.form.older", sheet.issue(), newest.issue());
        return pages.show(model, new SheetFormPages.Page(Optional.of(newest), SheetForm.of(sheet.draft()), "", note));
    }

    @PostMapping("/vehicles/{sheetId}/edit")
    String write(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID sheetId,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(defaultValue = "") String reason,
            HttpServletResponse response,
            Model model,
            RedirectAttributes flash) {
        SheetVersion after = library.sheet(me.centreId(), sheetId);
        SheetForm form = changed(typed);
        if (!asked(typed, "check") && !asked(typed, "write")) {
            return pages.show(model, new SheetFormPages.Page(Optional.of(after), form, reason, ""));
        }
        WrittenSheet written = SheetReader.read(standing(after, form.draft()));
        SheetVersion newest = newest(me, after);
        List<String> more = new ArrayList<>();
        if (newest.version() != after.version()) {
            more.add(overtaken(newest));
        }
        if (asked(typed, "write") && (reason.isBlank() || reason.length() > LONGEST_REASON)) {
            more.add(words.text("sheet.form.reason.needed", LONGEST_REASON));
        }
        if (written instanceof WrittenSheet.ParsedSheet read
                && newest.draft().equals(SheetWriter.draft(read.vehicle(), read.sheet()))) {
            more.add(words.text("sheet.form.same", newest.issue()));
        }
        if (asked(typed, "write") && more.isEmpty() && written instanceof WrittenSheet.ParsedSheet read) {
            Optional<UUID> id = library.addVersion(me.centreId(), after, read.sheet(), me.personId(), reason.strip());
            if (id.isPresent()) {
                flash.addFlashAttribute("written", true);
                return "redirect:/vehicles/" + id.get();
            }
            newest = newest(me, after);
            more.add(overtaken(newest));
        }
        return pages.checked(
                model, response, new SheetFormPages.Page(Optional.of(newest), form, reason, ""), written, more);
    }

    private String overtaken(SheetVersion newest) {
        return words.text(
                "sheet.form.overtaken",
                newest.issue(),
                newest.written().author(),
                newest.written().reason(),
                SheetVersion.issue(newest.version() + 1));
    }

    private SheetVersion newest(SignedIn me, SheetVersion sheet) {
        return library.versions(me.centreId(), sheet.vehicleId()).get(0);
    }

    /** A vehicle that stands is not typed again. */
    private static SheetDraft standing(SheetVersion sheet, SheetDraft typed) {
        List<SheetDraft.Row> rows = new ArrayList<>(sheet.draft().of(RowKind.VEHICLE));
        typed.rows().stream().filter(row -> row.kind() != RowKind.VEHICLE).forEach(rows::add);
        return new SheetDraft(rows);
    }

    private static boolean asked(MultiValueMap<String, String> typed, String action) {
        return action.equals(typed.getFirst("action"));
    }

    private static SheetForm changed(MultiValueMap<String, String> typed) {
        SheetForm form = SheetForm.typed(typed);
        Optional.ofNullable(typed.getFirst("add")).ifPresent(form::add);
        Optional.ofNullable(typed.getFirst("remove")).ifPresent(form::remove);
        return form;
    }
}
