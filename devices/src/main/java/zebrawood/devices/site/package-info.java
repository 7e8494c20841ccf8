/**
 * A room and a cooling loop to practise on: the coolant follows load, air and set point, the pump
 * and the interlock can fail, and water settles where the solver says it would.
 */
package zebrawood.devices.site;
