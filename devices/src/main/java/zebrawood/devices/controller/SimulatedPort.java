package zebrawood.devices.controller;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Duration;

/**
 * A cable to a simulated controller in the same program. Time is simulated: a wait ends at once and
 * counts as what was waited for.
 */
public final class SimulatedPort implements Port {
  /** The usual serial line, towards the controller. */
  private static final long NANOS_PER_BYTE = 87_000;

  private final SimulatedController controller;
  private long now;
  private int in;
  private int out;
  private boolean unplugged;

  public SimulatedPort(SimulatedController controller, long from) {
    this.controller = controller;
    // Over another port it may have waited longer than the clock went on.
    this.now = Math.max(from, controller.nanos());
  }

  @Override
  public void write(byte[] bytes) throws IOException {
    for (byte b : bytes) {
      if (controller.faults().wire().in().unplugAfter().isPresent()
          && in >= controller.faults().wire().in().unplugAfter().getAsInt()) {
        unplugged = true;
      }
      check();
      now += NANOS_PER_BYTE;
      controller.take(b, now);
      in++;
    }
  }

  private void check() throws IOException {
    if (unplugged) {
      throw new IOException("unplugged");
    }
  }

  @Override
  public byte[] read(Duration wait) throws IOException {
    check();
    long end = now + wait.toNanos();
    ByteArrayOutputStream read = new ByteArrayOutputStream();
    while (true) {
      controller.advanceTo(now);
      int next;
      while ((next = controller.poll(now)) >= 0) {
        if (controller.faults().wire().out().unplugAfter().isPresent()
            && out >= controller.faults().wire().out().unplugAfter().getAsInt()) {
          unplugged = true;
          check();
        }
        out++;
        read.write(next);
      }
      if (read.size() > 0 || now >= end) {
        return read.toByteArray();
      }
      now = Math.min(end, Math.min(controller.nextByteAt(), controller.nextWorkAt()));
    }
  }

  @Override
  public long nanos() {
    return now;
  }

  @Override
  public void close() {
    unplugged = true;
  }
}
