package app.galdrin.web.task.internal;

import app.galdrin.web.sketch.DoubtRule;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Returns whether a figure can be decided, said and drawn.
 *
 * @param rule where it is too close to tell; null where the sheet has no limits
 * @param help what would leave fewer in doubt, a sentence each
 */
public record DecisionRow(String name, @Nullable DoubtRule rule, String said, List<String> help) {}
