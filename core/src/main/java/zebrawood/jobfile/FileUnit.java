package zebrawood.jobfile;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.words.Message;

/** In which unit a motion program gives its lengths. */
public enum FileUnit {
  MM(1),
  INCH(25.4),
  /**
   * Both are asked for in one file: each word is taken in the unit that was asked for before it.
   */
  BOTH(1),
  /** The program says nothing. */
  NOT_SAID(0);

  private final double mm;

  FileUnit(double mm) {
    this.mm = mm;
  }

  /** Millimetres of one of it; empty where nobody knows. */
  public OptionalDouble mm() {
    return mm > 0 ? OptionalDouble.of(mm) : OptionalDouble.empty();
  }

  /** What was said of it; empty where there is nothing to say. */
  Optional<Message> warning() {
    return switch (this) {
      case MM, INCH -> Optional.empty();
      case BOTH -> Optional.of(Message.of("jobfile.both-units"));
      case NOT_SAID -> Optional.of(Message.of("jobfile.no-unit"));
    };
  }
}
