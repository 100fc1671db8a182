/** People who do a sheet by themselves: for demo data, for trying a task before a class has it, and for questions with other numbers. */
@NullMarked
package app.galdrin.core.simulated;

import org.jspecify.annotations.NullMarked;
