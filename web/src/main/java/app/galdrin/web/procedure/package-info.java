/**
 * Pages about the ways of measuring: a matrix to choose by, and a page each with its picture, how it is done, how it is worked, how well
 * it tells, and an example to try. For everyone who is signed in; they are made of the same data and words as the sheet at the bay, and
 * write nothing. May use the library, the sketches and the words.
 */
@NullMarked
package app.galdrin.web.procedure;

import org.jspecify.annotations.NullMarked;
