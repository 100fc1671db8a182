package app.galdrin.core.marking;

import java.util.List;

/** A reason by the words that give it away, and whether one of them was found. */
public record MatchedReason(List<String> words, boolean found) {}
