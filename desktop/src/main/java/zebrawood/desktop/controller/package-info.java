/**
 * The controller sheet: what is pasted or read over the link, what follows from it, and what is
 * sent, which is always shown before. {@link zebrawood.desktop.controller.ControllerSession} does
 * the waiting on a thread of its own.
 */
package zebrawood.desktop.controller;
