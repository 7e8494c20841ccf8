/** The demo workshop: a botanic garden's label machines, all names and figures made up. */
package zebrawood.desktop.demo;
