package app.galdrin.core.procedure;

import app.galdrin.core.measure.Assumption;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Instructions for a procedure. Steps and checks are keys of sentences that procedures share.
 *
 * @param steps of setting it up, in order
 * @param checks before its readings are trusted
 * @param assumes what must hold for its figures to be true
 * @param minutesToSet how long trained hands take to set it up, minutes; our own working value
 * @param minutesToRead how long one reading of everything takes, minutes; our own working value
 */
public record Guide(
        List<String> steps, List<String> checks, Set<Assumption> assumes, int minutesToSet, int minutesToRead) {

    public Guide {
        steps = List.copyOf(steps);
        checks = List.copyOf(checks);
        assumes = Set.copyOf(assumes);
    }

    public static Guide of(List<String> steps, List<String> checks, int minutesToSet, int minutesToRead) {
        return new Guide(steps, checks, Set.of(), minutesToSet, minutesToRead);
    }

    /** Returns the guide with a step before all others. */
    public Guide after(String step) {
        List<String> all = new ArrayList<>(List.of(step));
        all.addAll(steps);
        return new Guide(all, checks, assumes, minutesToSet, minutesToRead);
    }

    /** Returns the same, taking these for granted. */
    public Guide assuming(Assumption... assumptions) {
        return new Guide(steps, checks, Set.of(assumptions), minutesToSet, minutesToRead);
    }
}
