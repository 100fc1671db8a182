package app.galdrin.web.account.internal;

import jakarta.validation.constraints.AssertTrue;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.ZoneId;

/** The college and its first instructor. */
record FirstRunForm(
        @NotBlank(message = "{field.needed}") @Size(max = 120, message = "{field.tooLong}")
        String centre,

        String zone,

        @NotBlank(message = "{field.needed}") @Size(max = 120, message = "{field.tooLong}")
        String displayName,

        @Pattern(regexp = "[A-Za-z0-9._@-]{3,80}", message = "{field.signIn}")
        String signIn,

        @Size(min = 10, max = 200, message = "{field.password}")
        String password) {

    static FirstRunForm empty() {
        return new FirstRunForm("", ZoneId.systemDefault().getId(), "", "", "");
    }

    @AssertTrue(message = "{field.zone}")
    public boolean isZoneKnown() {
        return ZoneId.getAvailableZoneIds().contains(zone);
    }
}
