/** Configuration files of controllers, whatever their format, as names and values. */
package zebrawood.records.configuration;
