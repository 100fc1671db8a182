/** The workshop's own equipment: its lengths, its certificates and the checks that are done on it. */
@org.jspecify.annotations.NullMarked
package app.galdrin.core.equipment;
