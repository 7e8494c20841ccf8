/** Simulated sources: a tube with its supply, meter and probe, and one told its power by a word. */
package zebrawood.devices.power;
