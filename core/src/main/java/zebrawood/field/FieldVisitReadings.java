package zebrawood.field;

import java.util.Optional;

/**
 * One visit to the field of a head.
 *
 * @param focusHolds whether the focus of this lens holds; empty where nobody can tell
 * @param pointer when it was looked at
 * @param loaded as the grid was burnt; empty where nobody said
 */
public record FieldVisitReadings(
    FieldTask task,
    Optional<Boolean> focusHolds,
    Optional<PointerReadings> pointer,
    Optional<LoadedTable> loaded) {}
