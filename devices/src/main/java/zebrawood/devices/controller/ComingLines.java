package zebrawood.devices.controller;

import java.util.Optional;

/** Bytes as they come, taken a line at a time. A line that never ends is forgotten. */
final class ComingLines {
  private static final int LONGEST = 512;

  private final StringBuilder coming = new StringBuilder();

  /** One byte a letter. */
  void add(byte[] bytes) {
    for (byte b : bytes) {
      coming.append((char) (b & 0xff));
    }
  }

  /** What came up to an end of line, whichever kind. */
  Optional<String> next() {
    for (int i = 0; i < coming.length(); i++) {
      char c = coming.charAt(i);
      if (c == '\n' || c == '\r') {
        String line = coming.substring(0, i).strip();
        coming.delete(0, i + 1);
        return Optional.of(line);
      }
    }
    if (coming.length() > LONGEST) {
      coming.setLength(0);
    }
    return Optional.empty();
  }

  /** All that came and was not taken. */
  String takeAll() {
    String all = coming.toString();
    coming.setLength(0);
    return all;
  }
}
