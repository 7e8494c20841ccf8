package zebrawood.bed;

/** How much to put under one foot; the smallest is 0. */
public record Shim(String id, double thicknessMm, double thicknessMmUncertainty) {}
