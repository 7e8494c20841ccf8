/**
 * The site and what comes with it: can the machine stand, breathe, be fed and be cooled here, and
 * is the eyewear on the shelf enough?
 *
 * <p>Six independent questions, each a readings record, a finding and a function from one to the
 * other: {@link zebrawood.climate.Air} (dew point), {@link zebrawood.site.Circuit}, {@link
 * zebrawood.climate.Bucket} (how long may a bucket cool), {@link zebrawood.site.Duct} (exhaust),
 * {@link zebrawood.climate.Coldest} (antifreeze) and {@link zebrawood.site.Eyewear}. {@link
 * zebrawood.site.SiteSurvey} asks any of them together.
 *
 * <p>The sheets of the two stations ask more: {@link zebrawood.site.Arrival} (room, way in, weight,
 * parts), {@link zebrawood.site.Feed} (earth, circuit, plug, fuse), {@link
 * zebrawood.site.Breathing} (exhaust and air assist) and the proofs go into {@link
 * zebrawood.site.Site}; {@link zebrawood.cooling.Cooling} judges the loop.
 *
 * <p>May import {@code zebrawood.machine}, {@code measure} and {@code ledger} only.
 */
package zebrawood.site;
