/**
 * What a machine is: identity, build, source, work area and how its bed is held. Entered once on
 * the new-machine form; it decides which stations apply and what their limits are.
 */
package zebrawood.machine;
