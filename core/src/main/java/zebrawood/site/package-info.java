/**
 * The site and what comes with it: can the machine stand, breathe, be fed and be cooled here, and
 * is the eyewear on the shelf enough?
 *
 * <p>Six independent questions, each a readings record, a finding and a function from one to the
 * other: {@link zebrawood.site.Air} (dew point), {@link zebrawood.site.Circuit}, {@link
 * zebrawood.site.Bucket} (how long may a bucket cool), {@link zebrawood.site.Duct} (exhaust),
 * {@link zebrawood.site.Coldest} (antifreeze) and {@link zebrawood.site.Eyewear}. {@link
 * zebrawood.site.SiteSurvey} asks any of them together.
 *
 * <p>May import {@code zebrawood.machine}, {@code measure} and {@code ledger} only.
 */
package zebrawood.site;
