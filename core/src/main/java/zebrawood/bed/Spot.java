package zebrawood.bed;

/** A place that stands off the plane of the bed by {@code aboveMm}; negative is below. */
public record Spot(double xMm, double yMm, double aboveMm) {}
