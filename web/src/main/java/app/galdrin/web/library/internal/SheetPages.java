package app.galdrin.web.library.internal;

import app.galdrin.web.account.SignedIn;
import app.galdrin.web.library.SheetPage;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Makes the page of a sheet. */
@Component
class SheetPages implements SheetPage {

    private final Words words;

    SheetPages(Words words) {
        this.words = words;
    }

    @Override
    public String show(
            SignedIn me, SheetVersion sheet, List<SheetVersion> versions, @Nullable UUID against, Model model) {
        model.addAttribute("view", new SheetViewMaker(words).of(sheet, versions, Optional.ofNullable(against)));
        model.addAttribute("zone", me.zoneId());
        return "library/one";
    }
}
