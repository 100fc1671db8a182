/**
 * Who is there: people, signing in and joining, and what the signed-in person may do. Uses layout, and gate for what
 * is asked there about sessions.
 */
@NullMarked
package app.galdrin.web.account;

import org.jspecify.annotations.NullMarked;
