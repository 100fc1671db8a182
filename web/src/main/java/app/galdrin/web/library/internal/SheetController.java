package app.galdrin.web.library.internal;

import app.galdrin.core.spec.written.Cell;
import app.galdrin.core.spec.written.RowKind;
import app.galdrin.core.spec.written.SheetDocument;
import app.galdrin.core.spec.written.SheetDraft;
import app.galdrin.core.spec.written.SheetFault;
import app.galdrin.core.spec.written.SheetReader;
import app.galdrin.core.spec.written.SheetTable;
import app.galdrin.core.spec.written.SheetWriter;
import app.galdrin.core.spec.written.WrittenSheet;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Words;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Sheets are written here: on the page, or from a file that fills the page. Nothing is changed until all of it is right. */
@Controller
class SheetController {

    private static final int LONGEST_REASON = 200;

    private final Library library;
    private final Words words;
    private final SheetFormMaker maker;

    SheetController(Library library, Words words) {
        this.library = library;
        this.words = words;
        this.maker = new SheetFormMaker(words);
    }

    @GetMapping("/vehicles/new")
    String blank(Model model) {
        return page(model, new Page(Optional.empty(), SheetForm.blank(), "", ""));
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
            return page(model, new Page(Optional.empty(), form, "", ""));
        }
        WrittenSheet written = SheetReader.read(form.draft());
        if (asked(typed, "write") && written instanceof WrittenSheet.Read read) {
            Optional<UUID> id = library.addVehicle(me.centreId(), read, me.personId());
            if (id.isPresent()) {
                flash.addFlashAttribute("written", true);
                return "redirect:/vehicles/" + id.get();
            }
            String registration = read.vehicle().registration();
            written = new WrittenSheet.Refused(List.of(new SheetFault(
                    RowKind.VEHICLE.key(),
                    Optional.of(Cell.REGISTRATION),
                    SheetFault.Reason.TWICE,
                    registration,
                    List.of())));
        }
        return checked(model, response, new Page(Optional.empty(), form, "", ""), written, List.of());
    }

    @GetMapping("/vehicles/{sheetId}/edit")
    String edit(@AuthenticationPrincipal SignedIn me, @PathVariable UUID sheetId, Model model) {
        SheetVersion sheet = library.sheet(me.centreId(), sheetId);
        SheetVersion newest = newest(me, sheet);
        String note = newest.version() == sheet.version()
                ? ""
                : words.text("sheet.form.older", sheet.issue(), newest.issue());
        return page(model, new Page(Optional.of(newest), SheetForm.of(draft(sheet)), "", note));
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
            return page(model, new Page(Optional.of(after), form, reason, ""));
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
        if (written instanceof WrittenSheet.Read read
                && draft(newest).equals(SheetWriter.draft(read.vehicle(), read.sheet()))) {
            more.add(words.text("sheet.form.same", newest.issue()));
        }
        if (asked(typed, "write") && more.isEmpty() && written instanceof WrittenSheet.Read read) {
            Optional<UUID> id = library.addVersion(me.centreId(), after, read.sheet(), me.personId(), reason.strip());
            if (id.isPresent()) {
                flash.addFlashAttribute("written", true);
                return "redirect:/vehicles/" + id.get();
            }
            newest = newest(me, after);
            more.add(overtaken(newest));
        }
        return checked(model, response, new Page(Optional.of(newest), form, reason, ""), written, more);
    }

    private String overtaken(SheetVersion newest) {
        return words.text(
                "sheet.form.overtaken",
                newest.issue(),
                newest.written().by(),
                newest.written().reason(),
                SheetVersion.issue(newest.version() + 1));
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
        if (written instanceof WrittenSheet.Refused refused) {
            faults.addAll(maker.faults(refused.faults()));
        } else if (written instanceof WrittenSheet.Read read) {
            Optional<SheetVersion> standing = library.vehicle(
                            me.centreId(), read.vehicle().registration())
                    .map(id -> library.versions(me.centreId(), id).get(0));
            if (standing.isEmpty() || standing.get().vehicle().equals(read.vehicle())) {
                SheetForm form = SheetForm.of(SheetWriter.draft(read.vehicle(), read.sheet()));
                return page(model, new Page(standing, form, "", words.text("sheet.form.imported")));
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
        return file(SheetDocument.write(draft(sheet)), MediaType.APPLICATION_JSON, sheet, "json");
    }

    @GetMapping("/vehicles/{sheetId}/sheet.csv")
    ResponseEntity<String> csv(@AuthenticationPrincipal SignedIn me, @PathVariable UUID sheetId) {
        SheetVersion sheet = library.sheet(me.centreId(), sheetId);
        var type = new MediaType("text", "csv", StandardCharsets.UTF_8);
        return file(SheetTable.write(draft(sheet)), type, sheet, "csv");
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

    private SheetVersion newest(SignedIn me, SheetVersion sheet) {
        return library.versions(me.centreId(), sheet.vehicleId()).get(0);
    }

    private static SheetDraft draft(SheetVersion sheet) {
        return SheetWriter.draft(sheet.vehicle(), sheet.sheet());
    }

    /** A vehicle that stands is not typed again. */
    private static SheetDraft standing(SheetVersion sheet, SheetDraft typed) {
        List<SheetDraft.Row> rows = new ArrayList<>(draft(sheet).of(RowKind.VEHICLE));
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

    /** What a page shows whatever was found: the version it comes after, what is typed, and a word about where that is from. */
    private record Page(Optional<SheetVersion> after, SheetForm form, String reason, String note) {}

    private String page(Model model, Page page) {
        return show(model, page, List.of(), List.of(), List.of(), false);
    }

    private String checked(
            Model model, HttpServletResponse response, Page page, WrittenSheet written, List<String> more) {
        List<SheetFault> faults = written instanceof WrittenSheet.Refused refused ? refused.faults() : List.of();
        List<SheetView.Changed> changes = written instanceof WrittenSheet.Read read
                ? page.after()
                        .map(after -> new SheetViewMaker(words).changes(after.sheet(), read.sheet()))
                        .orElse(List.of())
                : List.of();
        if (!faults.isEmpty() || !more.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        }
        return show(model, page, faults, more, changes, faults.isEmpty());
    }

    private String show(
            Model model,
            Page page,
            List<SheetFault> faults,
            List<String> more,
            List<SheetView.Changed> changes,
            boolean checked) {
        List<SheetFormView.Fault> said = new ArrayList<>();
        more.forEach(sentence -> said.add(new SheetFormView.Fault("", sentence)));
        said.addAll(maker.faults(faults));
        @Nullable SheetVersion after = page.after().orElse(null);
        model.addAttribute(
                "view",
                new SheetFormView(
                        after,
                        SheetVersion.issue(after == null ? 1 : after.version() + 1),
                        page.reason(),
                        page.note(),
                        maker.groups(page.form(), after == null, faults),
                        said,
                        changes,
                        checked));
        return "library/edit";
    }
}
