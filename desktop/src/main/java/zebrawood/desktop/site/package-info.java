/**
 * The site sheet: earth and protection, room and way in, circuit, exhaust and eyewear.
 *
 * <p>{@code SiteModel} asks in the order of a visit; each part that is begun is needed whole.
 * {@code DuctPicture} draws the run of the duct piece by piece with its pressure.
 */
package zebrawood.desktop.site;
