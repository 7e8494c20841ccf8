/**
 * A bed to practise on. It has a hidden tilt, and in one variant a hidden warp; it obeys the turns
 * given, gives noisy gaps rounded to the gauge, and twists a little with its screws, which the
 * solver's stiff plane does not know.
 */
package zebrawood.devices.bed;
