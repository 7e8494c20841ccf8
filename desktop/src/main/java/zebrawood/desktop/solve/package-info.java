/** {@code zebrawood solve STATION}: a station's computation without the interface, JSON to JSON. */
package zebrawood.desktop.solve;
