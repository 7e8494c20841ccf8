/**
 * The power sheet: what "100 %" is, what it gives, and what the jobs need after it changed.
 *
 * <p>{@code PowerModel} holds the current or the power words; the curve, ageing, the tube's data
 * sheet and lists of settings are sections. Stand-ins: a tube with its supply ({@code
 * TubePractice}), a source told its power by a word ({@code WordsPractice}).
 */
package zebrawood.desktop.power;
