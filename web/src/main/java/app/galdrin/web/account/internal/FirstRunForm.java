package app.galdrin.web.account.internal;

import jakarta.validation.constraints.AssertTrue;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.ZoneId;
import org.jspecify.annotations.Nullable;

/** The college and its first instructor. */
record FirstRunForm(
        @Size(max = 40, message = "{field.code}") String code,

        @NotBlank(message = "{field.needed}") @Size(max = 120, message = "{field.tooLong}")
        String centre,

        String zone,

        @NotBlank(message = "{field.needed}") @Size(max = 120, message = "{field.tooLong}")
        String displayName,

        @Pattern(regexp = "[A-Za-z0-9._@-]{3,80}", message = "{field.signIn}")
        String signIn,

        String password) {

    FirstRunForm {
        code = said(code);
        centre = said(centre);
        zone = said(zone);
        displayName = said(displayName).strip();
        signIn = said(signIn);
        password = said(password);
    }

    /** Treats what a form leaves out as empty. */
    static String said(@Nullable String text) {
        return text == null ? "" : text;
    }

    static FirstRunForm empty() {
        return new FirstRunForm("", "", ZoneId.systemDefault().getId(), "", "", "");
    }

    @AssertTrue(message = "{field.zone}")
    public boolean isZoneKnown() {
        return ZoneId.getAvailableZoneIds().contains(zone);
    }
}
