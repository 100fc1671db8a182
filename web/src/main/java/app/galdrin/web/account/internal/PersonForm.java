package app.galdrin.web.account.internal;

import app.galdrin.web.account.Role;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;

/** A new person. */
record PersonForm(
        @NotNull(message = "{field.needed}") Role role,

        @NotBlank(message = "{field.needed}") @Size(max = 120, message = "{field.tooLong}")
        String displayName,

        @Pattern(regexp = "[A-Za-z0-9._@-]{3,80}", message = "{field.signIn}")
        String signIn) {

    PersonForm {
        displayName = FirstRunForm.said(displayName).strip();
        signIn = FirstRunForm.said(signIn);
    }

    static PersonForm empty() {
        return new PersonForm(Role.APPRENTICE, "", "");
    }
}
