/** Work that is turned, on a sheet: put in, read, set, taken out. Knows no scene. */
package zebrawood.desktop.rotary;
