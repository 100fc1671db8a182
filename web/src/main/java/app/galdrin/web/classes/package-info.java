/**
 * What a class made of a task: people by criteria, from the mark sheets that were signed, and whose readings are alike. Only reads what sitting
 * stores; uses sitting, task, layout and account.
 */
@NullMarked
package app.galdrin.web.classes;

import org.jspecify.annotations.NullMarked;
