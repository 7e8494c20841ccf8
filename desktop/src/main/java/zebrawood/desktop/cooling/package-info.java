/** The cooling sheet: what is typed, what follows at every keystroke, and the thermometer. */
package zebrawood.desktop.cooling;
