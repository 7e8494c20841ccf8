/**
 * Records to JSON and back, strictly: every component must be there, unknown fields are named, and
 * all that is wrong is said at once. The core's records need no annotations for it: a component's
 * name is the field's name, an enum constant is spelled in lower case with hyphens.
 */
package zebrawood.records.json;
