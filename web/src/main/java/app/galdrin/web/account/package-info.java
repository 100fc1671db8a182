/**
 * Who is there: people, signing in and joining, and what the signed-in person may do. Uses layout only.
 */
@NullMarked
package app.galdrin.web.account;

import org.jspecify.annotations.NullMarked;
