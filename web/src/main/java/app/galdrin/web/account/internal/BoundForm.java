package app.galdrin.web.account.internal;

import org.springframework.validation.BindingResult;
import org.springframework.web.bind.ServletRequestBindingException;

/** Forms that no page of ours sends, a field twice for example, leave nothing to show again. */
final class BoundForm {

    private BoundForm() {}

    /** @throws ServletRequestBindingException where there is no form at all, which is answered as a bad request */
    static void orRefused(BindingResult errors) throws ServletRequestBindingException {
        if (errors.getTarget() == null) {
            throw new ServletRequestBindingException("a form that no page sends");
        }
    }
}
