/**
 * The hand-over sheet: one machine's standings, as-found and as-left figures, events and cautions
 * as HTML, and the same pages as PDF with embedded type, page numbers and pictures as vectors.
 */
package zebrawood.records.handover;
