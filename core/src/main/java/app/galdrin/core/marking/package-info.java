/**
 * Marks a sitting: a class an aspect turns the practical, what was written and the instructor's own readings into evidence. Every
 * criterion is marked on the apprentice's own figures before it, so that no mistake costs twice. Evidence is keys and numbers: mm
 * and rad, answers in the unit they were asked for.
 */
@NullMarked
package app.galdrin.core.marking;

import org.jspecify.annotations.NullMarked;
