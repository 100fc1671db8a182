package app.galdrin.core.measure;

import java.util.Set;

/**
 * Observables and assumptions of a method.
 *
 * @param sees what it tells; it is blind to all else
 * @param assumes what must hold for its figures to be true
 */
public record Sight(Set<Observables> sees, Set<Assumption> assumes) {

    public static Sight of(Observables... seen) {
        return new Sight(Set.of(seen), Set.of());
    }

    public Sight assuming(Assumption... assumptions) {
        return new Sight(sees, Set.of(assumptions));
    }
}
