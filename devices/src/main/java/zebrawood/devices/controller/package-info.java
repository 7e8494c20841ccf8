/**
 * The link to a controller that speaks lines of text, and a simulated controller that speaks them
 * too.
 *
 * <p>{@link zebrawood.devices.controller.Port} carries bytes: over a serial line, a socket, or to
 * the simulated controller in the same program. {@link zebrawood.devices.controller.ControllerLink}
 * asks and orders; {@link zebrawood.devices.controller.LineController} does so over any port, with
 * every wait bounded. What takes several steps and must end well in every path is {@link
 * zebrawood.devices.controller.SettingsChange} and {@link zebrawood.devices.controller.TestShot}.
 */
package zebrawood.devices.controller;
