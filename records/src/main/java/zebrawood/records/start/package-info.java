/** Start-up on disk and on paper: how an entry is kept, and the go card for the wall. */
package zebrawood.records.start;
