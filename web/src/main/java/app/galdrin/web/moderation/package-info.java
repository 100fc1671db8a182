/**
 * A verifier's samples of mark sheets, and what was decided of them. Uses sitting, task, papers.
 */
@NullMarked
package app.galdrin.web.moderation;

import org.jspecify.annotations.NullMarked;
