package zebrawood.records.json;

/**
 * A part of a document that stands in it as it is.
 *
 * @param json one whole JSON value
 */
public record Verbatim(String json) {}
