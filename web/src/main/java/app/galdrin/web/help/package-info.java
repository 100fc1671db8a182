/**
 * The page that helps: how figures are written, what signs mean, which keys there are. In the demo also a page that shows every part of the
 * look in every state, from the fragments that the views use, for who works on it.
 */
@NullMarked
package app.galdrin.web.help;

import org.jspecify.annotations.NullMarked;
