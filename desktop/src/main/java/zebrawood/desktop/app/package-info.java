/**
 * The {@code zebrawood} command and the assembly: reads the command line, opens the workshop beside
 * the toolkit's start, and puts model, stations and window together. Nothing else knows them all.
 */
package zebrawood.desktop.app;
