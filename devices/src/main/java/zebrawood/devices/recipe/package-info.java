/** A sheet that is cut, to practise on. */
package zebrawood.devices.recipe;
