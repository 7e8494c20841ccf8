/**
 * What a machine is: identity, build, source, work area, how its bed is held, what is fitted and
 * the order it is switched on in. Entered on the new-machine form; it decides which stations apply
 * and what their limits are.
 */
package zebrawood.machine;
