package app.galdrin.web.account;

import java.util.UUID;

/** A class with how many apprentices are in it. */
public record ClassRow(UUID id, String name, int members) {}
