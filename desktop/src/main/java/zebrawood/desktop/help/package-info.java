/** What F1 tells of a field or a step: what it is, how it is measured, why, what goes wrong. */
package zebrawood.desktop.help;
