/**
 * Configuration files of controllers, whatever their format, as names and values.
 *
 * <p>JSON, XML, CSV of two columns, sections, or a name and a value a line; what stands inside of
 * something else has its name before it. At most so many settings and letters are read; what is of
 * none of these kinds is refused in a sentence.
 */
package zebrawood.records.configuration;
