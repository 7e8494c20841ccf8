package zebrawood.records.workshop;

import java.time.DateTimeException;
import java.time.Instant;
import java.util.List;
import zebrawood.ledger.Recorded;
import zebrawood.measure.UnusableReading;
import zebrawood.records.json.RecordJson;
import zebrawood.words.Message;

/**
 * A line of the record with its place in the order of writing; what was merged in has one between
 * others.
 *
 * @param seq of its row, among those of its kind
 */
record Written(double order, long seq, Recorded line) {
  /** The place after all that is written, in SQL. */
  static final String NEXT =
      "(SELECT 1 + CAST(max((SELECT coalesce(max(ord), 0) FROM entry),"
          + " (SELECT coalesce(max(ord), 0) FROM event)) AS INTEGER))";

  /** Rows with one of these ids. */
  static final String AMONG = "id IN (SELECT value FROM json_each(?, '$.ids'))";

  private record Ids(List<String> ids) {}

  /** Ids as {@link #AMONG} takes them. */
  static String listed(List<String> ids) {
    return RecordJson.write(new Ids(ids));
  }

  /** The same read back. */
  static List<String> ids(String listed) {
    return RecordJson.read(listed, Ids.class).ids();
  }

  /** No line is older than this kind of machine, or further away than a calendar can say. */
  private static final Instant FIRST = Instant.parse("1960-01-01T00:00:00Z");

  private static final Instant LAST = Instant.parse("9000-01-01T00:00:00Z");

  /**
   * @throws UnusableReading when this version has no such constant, or only as what it stands for
   */
  static <E extends Enum<E>> E constant(Class<E> type, String name) {
    for (E constant : type.getEnumConstants()) {
      if (constant.name().equals(name) && !name.equals("UNKNOWN")) {
        return constant;
      }
    }
    throw unread(name);
  }

  /**
   * @throws UnusableReading when it is no time, or none that can be
   */
  static Instant instant(String kept) {
    try {
      Instant time = Instant.parse(kept);
      if (time.isBefore(FIRST) || time.isAfter(LAST)) {
        throw unread(kept);
      }
      return time;
    } catch (DateTimeException | NullPointerException e) {
      throw unread(String.valueOf(kept));
    }
  }

  /** The one that can be read, else the first moment there is. */
  static Instant instantOr(String kept, String otherwise) {
    for (String text : new String[] {kept, otherwise}) {
      try {
        return instant(text);
      } catch (UnusableReading e) {
        continue;
      }
    }
    return Instant.EPOCH;
  }

  /** A name is never empty. */
  static String named(String kept) {
    return kept == null || kept.isBlank() ? "?" : kept;
  }

  private static UnusableReading unread(String kept) {
    return UnusableReading.of(kept, Message.quoted(kept), Message.of("json.text"));
  }
}
