/**
 * The demo workshop of a botanic garden's label machines; all names and figures are made up.
 *
 * <p>What happened to each machine is a resource, {@code stories.json}; its readings are typed into
 * the same models and recorded in the same way as a technician's, so the demo cannot show what the
 * program does not do.
 */
package zebrawood.desktop.demo;
