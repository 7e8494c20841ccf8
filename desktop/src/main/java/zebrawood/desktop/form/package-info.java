/**
 * What is typed on a sheet or card: fields by name, choices, proofs and repeated groups, together a
 * {@link zebrawood.desktop.form.StationForm}. Knows no scene, so that it is tested without a
 * window.
 *
 * <p>A field's name is what it is kept under. One that begins with {@code reading.} is read anew
 * each time, one that begins with {@code visit.} on each visit; the others are kept for the next
 * one. Its words stand in the station's bundle under {@code <station>.field.<name>}.
 */
package zebrawood.desktop.form;
