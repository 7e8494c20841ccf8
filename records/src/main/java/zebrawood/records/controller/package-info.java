/** The controller station on disk: how an entry is kept. */
package zebrawood.records.controller;
