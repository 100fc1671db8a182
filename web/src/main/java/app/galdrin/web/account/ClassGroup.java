package app.galdrin.web.account;

import java.util.UUID;

/** A class of apprentices. */
public record ClassGroup(UUID id, String name) {}
