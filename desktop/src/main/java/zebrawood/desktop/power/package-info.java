/** The power sheet: what "100 %" is, what it gives, and what the jobs need after it changed. */
package zebrawood.desktop.power;
