/** The site sheet: earth and protection, room and way in, circuit, exhaust and eyewear. */
package zebrawood.desktop.site;
