/**
 * A simulated stock that is burnt by a program, and its scan: a stand-in for what lies on the bed.
 * The program runs as a controller runs it, power word, top word and laser mode included.
 */
package zebrawood.devices.cards;
