/**
 * A task while it is composed: small edits of its document, each a pure function. A kind of step has one editor, found by
 * registration. Nothing else in the core uses this package.
 */
@NullMarked
package app.galdrin.core.draft;

import org.jspecify.annotations.NullMarked;
