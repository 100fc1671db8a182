package app.galdrin.web.words;

import app.galdrin.core.quantity.AngleDisplay;
import app.galdrin.core.quantity.LengthDisplay;

/** Reader that a page is made for; the principal of a session is one. */
public interface Reader {

    /** Returns how the reader's centre wants lengths shown. */
    LengthDisplay lengths();

    /** Returns how it wants angles shown. */
    AngleDisplay angles();
}
