/**
 * Photographs and scans: files read upright, whatever their orientation tag says, to be measured
 * in.
 */
package zebrawood.devices.picture;
