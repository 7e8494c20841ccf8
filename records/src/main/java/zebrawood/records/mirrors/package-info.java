/** The mirrors station on disk and on paper: how an entry is kept, and the marks as a picture. */
package zebrawood.records.mirrors;
