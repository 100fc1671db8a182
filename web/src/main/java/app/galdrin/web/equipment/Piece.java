package app.galdrin.web.equipment;

import java.util.UUID;

/**
 * One piece of a centre's equipment.
 *
 * @param name or number, as it is written on it
 * @param now what is known of it
 */
public record Piece(UUID id, String name, PieceRevision now) {}
