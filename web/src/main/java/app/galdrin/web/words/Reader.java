package app.galdrin.web.words;

import app.galdrin.core.quantity.AngleDisplay;
import app.galdrin.core.quantity.LengthDisplay;

/** Whoever a page is made for; the principal of a session is one. */
public interface Reader {

    /** How the reader's centre wants lengths shown. */
    LengthDisplay lengths();

    /** How it wants angles shown. */
    AngleDisplay angles();
}
