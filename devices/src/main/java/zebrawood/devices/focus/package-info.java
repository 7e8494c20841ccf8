/**
 * Stand-ins for finding the focus: a board that takes a burn, a height axis with backlash, and an
 * autofocus probe that scatters.
 */
package zebrawood.devices.focus;
