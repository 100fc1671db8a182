package app.galdrin.web.account;

import java.util.UUID;

/**
 * A person of a centre as lists show one.
 *
 * @param erased whether the personal data is gone; what is left stands for the person in other people's records
 */
public record Person(UUID id, Role role, String displayName, String signIn, boolean active, boolean erased) {}
