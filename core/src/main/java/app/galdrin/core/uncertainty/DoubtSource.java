package app.galdrin.core.uncertainty;

import org.jspecify.annotations.Nullable;

/**
 * Source of uncertainty: a reading, or something that several figures share. Two doubts from one source are added with their signs;
 * sources are the same when their names are.
 */
public final class DoubtSource {

    /** Origin of a source, which decides who shares it. */
    public enum Origin {
        /** An input of one record. */
        INPUT(false, false),
        /** One reading on one sheet. */
        READING(true, false),
        /** Set-up of the instruments, common to all that is read in it. */
        SET_UP(true, false),
        /** The survey of a bay. */
        BAY(false, true),
        /** The vehicle itself, the same for everybody who reads it. */
        VEHICLE(false, true),
        /** A piece of equipment, the same for all who read with it. */
        TOOL(false, false),
        /** A datum of the sheet. */
        SHEET(false, false);

        private final boolean isOfOneSetUp;
        private final boolean isCommonToAll;

        Origin(boolean isOfOneSetUp, boolean isCommonToAll) {
            this.isOfOneSetUp = isOfOneSetUp;
            this.isCommonToAll = isCommonToAll;
        }
    }

    private final Origin origin;
    private final String name;
    private final String group;
    private final int hash;

    private DoubtSource(Origin origin, String name, String group) {
        this.origin = origin;
        this.name = name;
        this.group = group;
        this.hash = name.hashCode();
    }

    /** Returns an input of a record, by its path. */
    public static DoubtSource input(String path) {
        return new DoubtSource(Origin.INPUT, path, path);
    }

    /**
     * Returns a reading on a sheet.
     *
     * @param name no other reading's
     * @param group what it was read with, which its doubt is told under
     */
    public static DoubtSource reading(String name, String group) {
        return new DoubtSource(Origin.READING, name, group);
    }

    /** Returns a source of another origin, whose doubt is told under its own name. */
    public static DoubtSource shared(Origin origin, String name) {
        return new DoubtSource(origin, name, name);
    }

    /** Returns the name, as budgets of records list it. */
    public String name() {
        return name;
    }

    /** Returns what its doubt is told under. */
    public String group() {
        return group;
    }

    /** Returns whether it is so of the vehicle itself. */
    public boolean isOfVehicle() {
        return origin == Origin.VEHICLE;
    }

    /** Returns whether it is one and the same for all who read a vehicle as it stands: between two of them it falls out. */
    public boolean isCommonToAll() {
        return origin.isCommonToAll;
    }

    /** Returns the source it is where everything was set up and read a second time: another one but for a datum of the bay or the sheet. */
    public DoubtSource readAgain() {
        return origin.isOfOneSetUp ? new DoubtSource(origin, "again/" + name, group) : this;
    }

    /** Returns the source it is where everything was set up and read by one of several: another one but for a datum of the vehicle, the bay or the sheet. */
    public DoubtSource readBy(String reader) {
        return origin.isOfOneSetUp || origin == Origin.INPUT
                ? new DoubtSource(origin, reader + "/" + name, group)
                : this;
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return this == other || other instanceof DoubtSource source && hash == source.hash && name.equals(source.name);
    }

    @Override
    public int hashCode() {
        return hash;
    }

    @Override
    public String toString() {
        return name;
    }
}
