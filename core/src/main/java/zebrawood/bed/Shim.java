package zebrawood.bed;

import zebrawood.measure.Estimate;

/** How much to put under one foot; the smallest is 0. */
public record Shim(String id, Estimate thicknessMm) {}
