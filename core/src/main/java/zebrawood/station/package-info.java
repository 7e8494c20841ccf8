/**
 * What all stations have in common: the shape of one visit.
 *
 * <p>A {@link zebrawood.station.Visit} says of a station which record its readings are, which
 * record its finding is, and how the one follows from the other; figures and sentences follow from
 * both. What is not typed but needed, such as the pixels of a photograph, comes in by {@link
 * zebrawood.station.Help}. What is proven by hand and eye is a list of {@link
 * zebrawood.station.Proof}s, and {@link zebrawood.station.Proven} judges it the same way
 * everywhere.
 *
 * <p>Readings and findings are records all the way down, or sealed interfaces of records, so that
 * what is kept of a visit can be read back as it was.
 *
 * <p>May import {@code measure}, {@code words} and the ledger's figures; no station.
 */
package zebrawood.station;
