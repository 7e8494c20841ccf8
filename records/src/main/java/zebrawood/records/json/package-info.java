/**
 * Records to JSON and back, strictly: every component must be there, unknown fields are named, and
 * all that is wrong is said at once.
 *
 * <p>The core's records need no annotations for it: a component's name is the field's name, an enum
 * constant is spelled in lower case with hyphens, a value of a sealed interface says its {@code
 * kind}, an {@code Estimate} is {@code x} and {@code xUncertainty}, a message its key and
 * arguments. All that is written to be kept can be read back to an equal record; an answer to a
 * person has sentences instead.
 */
package zebrawood.records.json;
