package app.galdrin.core.spec;

/** What a specification sheet gives limits for, in the order it is adjusted: toe last. */
public enum SheetQuantity {
    CASTER("caster"),
    CAMBER("camber"),
    KPI("kpi"),
    TOE("toe"),
    TOTAL_TOE("totalToe");

    private final String key;

    SheetQuantity(String key) {
        this.key = key;
    }

    public String key() {
        return key;
    }
}
