/**
 * The fault finder: which cause fits what is seen, and which test tells most a minute?
 *
 * <p>{@link zebrawood.fault.Pattern} puts shapes through scores of squares over the bed: the same
 * everywhere, falling from one side, along the beam's way, or from a ridge. {@link
 * zebrawood.fault.FaultTable} says what each cause shows in each test, from a table of figures with
 * their reasons. {@link zebrawood.fault.Fault} weighs the causes by Bayes's rule and finds the test
 * with the most expected bits a minute; {@link zebrawood.fault.FaultVisit} is a case, from the
 * first sign to the proof.
 */
package zebrawood.fault;
