package app.galdrin.web.layout.internal;

import app.galdrin.web.layout.Ids;
import org.springframework.stereotype.Component;

/** Idempotency keys for forms: the same form sent twice is written once. Templates reach it as {@code @keys}. */
@Component("keys")
public class FormKeys {

    public String next() {
        return Ids.next().toString();
    }
}
