/** The site and the cooling in the file and on paper. */
package zebrawood.records.site;
