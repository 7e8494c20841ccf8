package zebrawood.devices.controller;

import java.time.Duration;
import java.util.List;
import zebrawood.controller.Settings;

/** Asks and orders, one at a time; every wait is bounded. */
public interface ControllerLink extends AutoCloseable {
  /** Passes over what it greets with, and makes sure that it runs no job. */
  Status connect() throws LinkTrouble;

  Status status() throws LinkTrouble;

  /** All settings, as two readings one after the other agree on. */
  Settings readSettings() throws LinkTrouble;

  /** Sends one line and waits for its acknowledgement. */
  void send(String line, Duration atMost) throws LinkTrouble;

  /**
   * Sends lines in one piece, so that the controller itself does them all even if the link goes,
   * and waits for every acknowledgement.
   */
  void sendTogether(List<String> lines, Duration atMost) throws LinkTrouble;

  /** Whether somebody cancelled. */
  boolean cancelled();

  /**
   * From now on cancelling ends no wait any more: what follows must be brought to its end. The
   * waits stay bounded.
   */
  void mustFinish();

  /** Stops what it does, at once; it forgets where it is. */
  void softReset() throws LinkTrouble;

  @Override
  void close();
}
