/**
 * The printed sheet of targets that burns are read on: drawn at true size, written as SVG or PDF.
 */
package zebrawood.records.tape;
