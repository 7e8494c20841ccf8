package zebrawood.devices.controller;

import java.util.ArrayDeque;
import java.util.Deque;

/** What a simulated controller says, byte by byte, as fast as its wire carries it. */
final class SimulatedAnswers {
  private final Faults.Wire wire;
  private final Deque<Outgoing> outgoing = new ArrayDeque<>();
  private long freeAt;
  private int bytes;

  /** A byte on its way out, and when it is there. */
  private record Outgoing(byte value, long at) {}

  SimulatedAnswers(Faults.Wire wire) {
    this.wire = wire;
  }

  /** What follows is later than it should be. */
  void late(long now) {
    freeAt = Math.max(freeAt, now) + wire.lateNanos();
  }

  void say(String text, long at) {
    freeAt = Math.max(freeAt, at);
    for (int i = 0; i < text.length(); i++) {
      freeAt += wire.nanosPerByte();
      byte value = (byte) text.charAt(i);
      if (wire.out().garbleAt().isPresent() && wire.out().garbleAt().getAsInt() == bytes) {
        value = (byte) (value ^ 0x02);
      }
      bytes++;
      outgoing.add(new Outgoing(value, freeAt));
    }
  }

  /** The next byte that is there at this moment; -1 when none is. */
  int poll(long at) {
    return !outgoing.isEmpty() && outgoing.peek().at <= at ? outgoing.poll().value & 0xff : -1;
  }

  /** When the next byte is there; {@code Long.MAX_VALUE} when none is on its way. */
  long nextByteAt() {
    return outgoing.isEmpty() ? Long.MAX_VALUE : outgoing.peek().at;
  }
}
