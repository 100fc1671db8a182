/**
 * A page that shows every part of the look in every state, from the fragments that the views use.
 */
@NullMarked
package app.galdrin.web.stylepage;

import org.jspecify.annotations.NullMarked;
