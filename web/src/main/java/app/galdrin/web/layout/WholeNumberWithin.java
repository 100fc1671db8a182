package app.galdrin.web.layout;

import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.jspecify.annotations.Nullable;

/** A whole number as people type it; an empty text is left to whoever has a default. */
@Target({ElementType.FIELD, ElementType.TYPE_USE})
@Retention(RetentionPolicy.RUNTIME)
@Constraint(validatedBy = WholeNumberWithin.WholeValidator.class)
public @interface WholeNumberWithin {

    /** Smallest, 0 or more. */
    int least();

    /** Largest, below a thousand. */
    int most();

    /** Key of the sentence: what was typed, least, most. */
    String message() default "field.whole";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** Reads it. */
    class WholeValidator implements ConstraintValidator<WholeNumberWithin, @Nullable String> {
        private int least;
        private int most;

        @Override
        public void initialize(WholeNumberWithin range) {
            least = range.least();
            most = range.most();
        }

        @Override
        public boolean isValid(@Nullable String typed, ConstraintValidatorContext context) {
            return typed == null
                    || typed.isEmpty()
                    || WholeNumber.read(typed, least, most).isPresent();
        }
    }
}
