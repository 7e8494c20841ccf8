package zebrawood.measure;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import zebrawood.measure.UnusableReading.Complaint;
import zebrawood.words.Message;

/**
 * Collects what is wrong with the components of one record, so that all bad fields are reported
 * together. Every check is written so that NaN fails it.
 *
 * <pre>
 *   var accepts = new Accepts();
 *   accepts.between("gapMm", gapMm, 0, 1000);
 *   accepts.orThrow();
 * </pre>
 */
public final class Accepts {
  /** Made when the first complaint comes: readings are checked by the thousand and seldom bad. */
  private List<Complaint> complaints = List.of();

  /** A number from {@code least} to {@code most}, both allowed. */
  public Accepts between(String field, double value, double least, double most) {
    if (!(value >= least && value <= most)) {
      complain(field, found(value), between(least, most));
    }
    return this;
  }

  /** What a number from the one to the other is called. */
  public static Message between(double least, double most) {
    return Message.of("accepts.between", Message.number(least), Message.number(most));
  }

  /** A number more than 0 and at most {@code most}. */
  public Accepts positive(String field, double value, double most) {
    if (!(value > 0 && value <= most)) {
      complain(field, found(value), Message.of("accepts.positive", Message.number(most)));
    }
    return this;
  }

  /** No more of something than can be looked at in a moment. */
  public Accepts atMost(String field, Collection<?> values, int most) {
    if (values.size() > most) {
      complain(
          field,
          Message.of("accepts.of-them", values.size()),
          Message.of("accepts.at-most-of-them", most));
    }
    return this;
  }

  /**
   * Refuses readings from which a figure follows that nothing can have.
   *
   * @param field whose figures lead to it
   * @param what the key of the figure's name with its unit
   * @param most what the largest of real ones stays below
   * @throws UnusableReading where it is above that, or no number
   */
  public static void canExist(String field, String what, double value, double most) {
    if (!(Math.abs(value) <= most)) {
      throw UnusableReading.of(
          field,
          Message.of("accepts.leads-to", Message.of(what), found(value)),
          Message.of("accepts.leads-to-at-most", Message.number(most)));
    }
  }

  public Accepts filled(String field, String text) {
    if (text == null || text.isBlank()) {
      complain(field, Message.of("accepts.empty"), Message.of("accepts.name"));
    }
    return this;
  }

  /**
   * @param what the key of what is counted
   */
  public Accepts atLeast(String field, Collection<?> values, int count, String what) {
    if (values.size() < count) {
      complain(
          field,
          Message.of("accepts.of-them", values.size()),
          Message.of("accepts.at-least", count, Message.of(what)));
    }
    return this;
  }

  /** Names that differ from one another. */
  public Accepts distinct(String field, Collection<String> names) {
    Set<String> seen = new HashSet<>();
    for (String name : names) {
      if (!seen.add(name)) {
        complain(
            field,
            Message.of("accepts.twice", Message.quoted(name)),
            Message.of("accepts.different"));
      }
    }
    return this;
  }

  /** Places that do not all lie in one line, so that a plane through them is determined. */
  public Accepts notInOneLine(String field, List<? extends Place> places) {
    return places.size() >= 3 ? notInOneLine(field, Spread.of(places)) : this;
  }

  Accepts notInOneLine(String field, Spread ofPlaces) {
    if (ofPlaces.inOneLine()) {
      complain(field, Message.of("accepts.in-one-line"), Message.of("accepts.not-in-line"));
    }
    return this;
  }

  /** A number that cannot be used. */
  public Accepts complain(String field, double found, Message accepted) {
    return complain(field, found(found), accepted);
  }

  public Accepts complain(String field, Message found, Message accepted) {
    if (complaints.isEmpty()) {
      complaints = new ArrayList<>();
    }
    complaints.add(new Complaint(field, found, accepted));
    return this;
  }

  /** Whether nothing was complained of so far. */
  public boolean fine() {
    return complaints.isEmpty();
  }

  public void orThrow() {
    if (!complaints.isEmpty()) {
      throw new UnusableReading(complaints);
    }
  }

  private static Message found(double value) {
    if (Double.isNaN(value)) {
      return Message.of("accepts.not-a-number");
    }
    return Double.isInfinite(value) ? Message.of("accepts.infinite") : Message.number(value);
  }
}
