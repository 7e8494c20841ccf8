/**
 * The one shape of a visit to any station: readings in, a finding out.
 *
 * <p>{@link zebrawood.station.Visit} names the type of readings and finding, the solver, the
 * figures for the notebook and the sentences that tell all of it. {@link zebrawood.station.Help}
 * brings photographs and takes progress; it changes nothing of what is found. {@link
 * zebrawood.station.Proof} is one thing that is proven by hand and eye, {@link
 * zebrawood.station.Proven} judges all of them alike.
 *
 * <p>Knows no station. A station's own package makes a Visit of its solver; sheet, record, paper
 * and {@code solve} need nothing else of it.
 */
package zebrawood.station;
