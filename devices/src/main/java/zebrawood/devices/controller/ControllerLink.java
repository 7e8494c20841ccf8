package zebrawood.devices.controller;

import java.time.Duration;
import java.util.List;
import zebrawood.controller.Dialect;
import zebrawood.controller.Settings;
import zebrawood.controller.Write;

/** Asks and orders, one at a time; every wait and every answer is bounded. */
public interface ControllerLink extends AutoCloseable {
  /** How it is talked to. */
  Dialect dialect();

  /** Passes over what it greets with, and makes sure that it runs no job. */
  Status connect() throws LinkTrouble;

  Status status() throws LinkTrouble;

  /** All settings, as two readings one after the other agree on. */
  Settings readSettings() throws LinkTrouble;

  /** Writes one setting and waits for its acknowledgement. */
  void write(Write write) throws LinkTrouble;

  /**
   * Sends commands in one piece, so that the controller itself does them all even if the link goes,
   * and waits for every acknowledgement.
   *
   * @param texts what is sent, ends of lines included
   */
  void send(List<String> texts, Duration atMost) throws LinkTrouble;

  /**
   * Asks again and again until it neither moves nor does what nobody named.
   *
   * @return standing, or in an alarm of which it did not tell the kind
   * @throws LinkTrouble when it still moves after that time, or tells an alarm
   */
  Status untilItStands(Duration atMost) throws LinkTrouble;

  /**
   * Ends a motion: holds it, cancels it, and waits until it stands.
   *
   * @throws LinkTrouble when nobody knows whether it stands
   */
  Status stopMotion() throws LinkTrouble;

  /** Whether somebody cancelled. */
  boolean cancelled();

  /**
   * From now on cancelling ends no wait any more: what follows must be brought to its end. The
   * waits stay bounded.
   */
  void mustFinish();

  /**
   * From now on cancelling ends a wait only after some seconds, in which what was sent is usually
   * answered.
   */
  void finishSoon();

  @Override
  void close();
}
