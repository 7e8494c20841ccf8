/** The trial piece on a sheet: written, burnt, measured, judged. Knows no scene. */
package zebrawood.desktop.trial;
