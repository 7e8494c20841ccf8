package zebrawood.power;

/** One reading of a power curve. */
public record PowerPoint(double percent, double watts) {}
