/** Lists of job settings as CSV files. */
package zebrawood.records.settings;
