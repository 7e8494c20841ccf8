package zebrawood.measure;

import java.util.List;
import java.util.stream.Collectors;

/**
 * Thrown by the constructor of a readings record when a value cannot be used. It carries every bad
 * field of the input, each with what was found and what is accepted.
 */
public final class UnusableReading extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /**
   * One bad field.
   *
   * @param field the field's path, such as {@code points[2].gapMm}
   * @param found what stood there, as text
   * @param accepted what would have been accepted, to be read after "accepted is"
   */
  public record Complaint(String field, String found, String accepted) {
    /** The complaint as part of a sentence. */
    public String sentence() {
      return field + " is " + found + ", accepted is " + accepted;
    }
  }

  private final transient List<Complaint> complaints;

  public UnusableReading(List<Complaint> complaints) {
    super(complaints.stream().map(Complaint::sentence).collect(Collectors.joining("; ", "", ".")));
    this.complaints = List.copyOf(complaints);
  }

  public static UnusableReading of(String field, Object found, String accepted) {
    return new UnusableReading(List.of(new Complaint(field, String.valueOf(found), accepted)));
  }

  public List<Complaint> complaints() {
    return complaints;
  }

  /** The first complaint about the field of this name, or one below it. */
  public boolean concerns(String field) {
    return complaints.stream()
        .anyMatch(c -> c.field().equals(field) || c.field().startsWith(field + "["));
  }
}
