package app.galdrin.web.layout;

import app.galdrin.core.Keyed;
import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.jspecify.annotations.Nullable;

/** The key of one of some constants; an empty text is left to whoever has a default. */
@Target({ElementType.FIELD, ElementType.TYPE_USE})
@Retention(RetentionPolicy.RUNTIME)
@Constraint(validatedBy = KeyOf.KeyValidator.class)
public @interface KeyOf {

    Class<? extends Keyed> value();

    /** Key of the sentence: what was typed. */
    String message() default "field.noChoice";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** Looks it up. */
    class KeyValidator implements ConstraintValidator<KeyOf, @Nullable String> {
        private Keyed[] constants = {};

        @Override
        public void initialize(KeyOf annotation) {
            constants = annotation.value().getEnumConstants();
        }

        @Override
        public boolean isValid(@Nullable String typed, ConstraintValidatorContext context) {
            return typed == null
                    || typed.isEmpty()
                    || Keyed.find(constants, typed).isPresent();
        }
    }
}
