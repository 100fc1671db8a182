package app.galdrin.web.account.internal;

import app.galdrin.web.account.Role;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;

/** A new person. */
record PersonForm(
        @Pattern(regexp = "INSTRUCTOR|APPRENTICE|VERIFIER|OFFICE", message = "{field.needed}")
        String role,

        @NotBlank(message = "{field.needed}") @Size(max = 120, message = "{field.tooLong}")
        String displayName,

        @Pattern(regexp = "[A-Za-z0-9._@-]{3,80}", message = "{field.signIn}")
        String signIn) {

    PersonForm {
        role = FirstRunForm.said(role);
        displayName = FirstRunForm.said(displayName).strip();
        signIn = FirstRunForm.said(signIn);
    }

    static PersonForm empty() {
        return new PersonForm(Role.APPRENTICE.name(), "", "");
    }
}
