/** The manual: made of the same words as F1, as plain pages and as one HTML file. */
package zebrawood.desktop.manual;
