package app.galdrin.web.library.internal;

import app.galdrin.core.spec.written.SheetFault;
import app.galdrin.core.spec.written.WrittenSheet;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.words.Words;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;

/** Shows the page on which a sheet is written. */
final class SheetFormPages {

    private final Words words;
    private final SheetFormMaker maker;

    SheetFormPages(Words words) {
        this.words = words;
        this.maker = new SheetFormMaker(words);
    }

    List<SheetFormView.Fault> faults(List<SheetFault> faults) {
        return maker.faults(faults);
    }

    /** Content of a page whatever was found: the version it comes after, what is typed, and a word about where that is from. */
    record Page(Optional<SheetVersion> after, SheetForm form, String reason, String note) {}

    /** Shows the form as it is typed, without faults. */
    String show(Model model, Page page) {
        return show(model, page, List.of(), List.of(), List.of(), false);
    }

    /** Shows the form with its faults, or with its differences from the version before. */
    String checked(Model model, HttpServletResponse response, Page page, WrittenSheet written, List<String> more) {
        List<SheetFault> faults = written instanceof WrittenSheet.Refusal refused ? refused.faults() : List.of();
        List<SheetView.SheetChange> changes = written instanceof WrittenSheet.ParsedSheet read
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
            List<SheetView.SheetChange> changes,
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
