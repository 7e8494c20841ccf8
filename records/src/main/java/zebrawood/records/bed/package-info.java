/** The bed station on paper and in the file: its entries as JSON, its plan as a vector picture. */
package zebrawood.records.bed;
