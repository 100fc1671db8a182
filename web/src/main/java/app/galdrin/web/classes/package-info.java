/**
 * What a class made of a task: people by criteria, from the mark sheets that were signed. Only reads what sitting stores; uses task, layout and
 * account.
 */
@NullMarked
package app.galdrin.web.classes;

import org.jspecify.annotations.NullMarked;
