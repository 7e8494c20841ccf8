/**
 * The map between a camera's picture and the bed as files, for whoever lays the picture under
 * artwork: CSV and JSON, described in docs/formats.md.
 */
package zebrawood.records.camera;
