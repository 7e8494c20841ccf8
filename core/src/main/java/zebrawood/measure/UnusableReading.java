package zebrawood.measure;

import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * Thrown by the constructor of a readings record when a value cannot be used. It carries every bad
 * field of the input, each with what was found and what is accepted.
 */
public final class UnusableReading extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** More of them are not read; the number of the others is told. */
  private static final int MOST_TOLD = 12;

  private static final Pattern BROKEN = Pattern.compile("[\\p{Cntrl}\\u2028\\u2029]+");

  /**
   * One bad field.
   *
   * @param field the field's path, such as {@code points[2].gapMm}
   * @param found what stood there
   * @param accepted what would have been accepted
   */
  public record Complaint(String field, Message found, Message accepted) {
    /** The complaint as part of a sentence. */
    public String sentence(Phrasebook words) {
      return words.say("accepts.complaint", Message.quoted(field), found, accepted);
    }
  }

  private final transient List<Complaint> complaints;

  public UnusableReading(List<Complaint> complaints) {
    super();
    this.complaints = List.copyOf(complaints);
  }

  public static UnusableReading of(String field, Message found, Message accepted) {
    return new UnusableReading(List.of(new Complaint(field, found, accepted)));
  }

  public List<Complaint> complaints() {
    return complaints;
  }

  /** What documents and logs get: one sentence with every bad field. */
  @Override
  public String getMessage() {
    return sentence(Phrasebook.ENGLISH);
  }

  public String sentence(Phrasebook words) {
    String told =
        complaints.stream()
            .limit(MOST_TOLD)
            .map(c -> c.sentence(words))
            .collect(Collectors.joining("; "));
    String all =
        complaints.size() > MOST_TOLD
            ? words.say("accepts.more-complaints", told, complaints.size() - MOST_TOLD)
            : told + ".";
    // What somebody gave may have lines and other letters that cannot be shown.
    return BROKEN.matcher(all).replaceAll(" ");
  }

  /** The first complaint about the field of this name, or one below it. */
  public boolean concerns(String field) {
    return complaints.stream()
        .anyMatch(c -> c.field().equals(field) || c.field().startsWith(field + "["));
  }
}
