/**
 * The help page: how figures are written, what signs mean, which keys there are. In the demo also a page with every part of the look in
 * every state, from the fragments that the views use.
 */
@ApplicationModule(allowedDependencies = {"account", "layout", "library", "sketch", "words"})
@NullMarked
package app.galdrin.web.help;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
