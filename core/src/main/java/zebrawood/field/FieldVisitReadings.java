package zebrawood.field;

import java.util.Optional;

/**
 * One visit to the field of a head.
 *
 * @param focusHolds whether the focus of this lens holds; empty where nobody can tell
 * @param pointer when it was looked at
 */
public record FieldVisitReadings(
    FieldTask task, Optional<Boolean> focusHolds, Optional<PointerReadings> pointer) {}
