/**
 * What is printed: templates filled in, and written as an HTML page and as a PDF with the bundled
 * typeface. Knows nothing of what stands on the page.
 */
package zebrawood.records.paper;
