/**
 * A passport: one machine's whole record as one open file, out of a workshop and into another.
 *
 * <p>{@link zebrawood.records.passport.PassportFile} writes lines of JSON behind a head and before
 * a sum over all of them; reading checks all of it before anything is taken in.
 */
package zebrawood.records.passport;
