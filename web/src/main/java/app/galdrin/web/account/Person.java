package app.galdrin.web.account;

import java.util.UUID;

/** A person of a centre as lists show one. */
public record Person(UUID id, Role role, String displayName, String signIn, boolean active) {}
