package app.galdrin.web.form;

import app.galdrin.core.form.Form;
import app.galdrin.core.jobcard.JobCard;
import org.springframework.stereotype.Component;

/** Job card on the sheet, with what the customer said. */
@Component
class JobCardSheet extends FormSheet {

    JobCardSheet() {
        super(JobCard.KIND);
    }

    @Override
    String note(Form form) {
        return ((JobCard) form).request();
    }
}
