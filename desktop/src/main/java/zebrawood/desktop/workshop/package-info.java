/**
 * The open workshop as the interface sees it: machines, the chosen machine's ledger and standings,
 * preferences. Writes go to a thread of their own; what is shown as recorded is on the disk. Holds
 * properties and knows no scene, so it is tested without a window.
 */
package zebrawood.desktop.workshop;
