package app.galdrin.core.figure;

import app.galdrin.core.Keyed;
import java.util.List;
import java.util.Optional;

/** The order in which figures that disturb one another are adjusted. Toe is last in both; the rear axle comes before the front. */
public enum OrderSchool implements Keyed {
    /** Caster, then camber, then toe. */
    A("A", List.of(Measurand.CASTER, Measurand.CAMBER, Measurand.TOE)),
    /** Camber, then caster, then toe: where one pair of cams serves both. */
    B("B", List.of(Measurand.CAMBER, Measurand.CASTER, Measurand.TOE));

    private final String key;
    private final List<Measurand> order;

    OrderSchool(String key, List<Measurand> order) {
        this.key = key;
        this.order = order;
    }

    @Override
    public String key() {
        return key;
    }

    public List<Measurand> order() {
        return order;
    }

    /** The turn of a measurand, from 0; empty for one that is not adjusted. */
    public Optional<Integer> turn(Measurand measurand) {
        int turn = order.indexOf(measurand.base());
        return turn < 0 ? Optional.empty() : Optional.of(turn);
    }
}
