/** A rotary to practise on. */
package zebrawood.devices.rotary;
