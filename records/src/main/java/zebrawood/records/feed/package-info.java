/** Marks of a piece that is passed through in sections, as files for the job software. */
package zebrawood.records.feed;
