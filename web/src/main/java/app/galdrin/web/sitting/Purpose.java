package app.galdrin.web.sitting;

/** Whose readings a sitting holds. */
public enum Purpose {
    PRACTICAL("practical"),
    REFERENCE_AS_FOUND("referenceAsFound"),
    REFERENCE_AS_LEFT("referenceAsLeft");

    private final String key;

    Purpose(String key) {
        this.key = key;
    }

    public String key() {
        return key;
    }
}
