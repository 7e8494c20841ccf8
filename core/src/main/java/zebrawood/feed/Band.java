package zebrawood.feed;

/** A stretch of the piece, from its beginning, over which nothing is burnt. */
public record Band(double fromMm, double toMm) {}
