/**
 * Simulated sources: a tube with its supply, meter and probe, and one told its power by a word.
 *
 * <p>The tube warms, hops, ages and scatters; the needle is read with parallax, the probe loses
 * heat while it is read (docs/physics.md). Currents in mA, powers in W.
 */
package zebrawood.devices.power;
