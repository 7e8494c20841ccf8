/** The site sheet: earth and protection, circuit, exhaust and eyewear. */
package zebrawood.desktop.site;
