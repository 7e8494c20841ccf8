package zebrawood.jobfile;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A job file beside the machine that is to burn it.
 *
 * @param unitSaid the unit, where the file says none; {@link FileUnit#NOT_SAID} where nobody did
 * @param travelXMm of the head; empty where it is not known, as with all that follows
 * @param origin where the job's zero lies in the travel
 * @param topWord of the controller
 * @param roundMm once round the work in a rotary, where the job's y goes round
 * @param sectionMm worked at a time, where a long piece is passed through along y
 * @param timed one run that was timed
 * @param other the same job at another percentage
 */
public record JobReadings(
    JobLook look,
    FileUnit unitSaid,
    OptionalDouble travelXMm,
    OptionalDouble travelYMm,
    Origin origin,
    OptionalDouble topWord,
    Motion motion,
    OptionalDouble roundMm,
    OptionalDouble sectionMm,
    Optional<Timed> timed,
    Optional<OtherPercent> other) {
  private static final double MOST_MM = 100_000;
  private static final double MOST_WORD = 1e6;
  private static final double MOST_S = 1e7;
  private static final double PERCENT = 100;

  /** Where the zero of a job lies. */
  public enum Origin {
    /** Nobody said: sizes are judged, places are not. */
    NOT_SAID,
    /** In a corner: all of it on one side of zero along each axis. */
    CORNER,
    CENTRE
  }

  /**
   * A run that was timed.
   *
   * @param calculatedS at speed at once, as it was said here before the run
   */
  public record Timed(double calculatedS, double tookS) {
    public Timed {
      new Accepts()
          .positive("calculatedS", calculatedS, MOST_S)
          .positive("tookS", tookS, MOST_S)
          .orThrow();
    }

    double factor() {
      return tookS / calculatedS;
    }
  }

  /**
   * The job at two percentages of the job software.
   *
   * @param percent of this file, {@code otherPercent} of the other one
   * @param otherTopWord the largest word of the other one
   */
  public record OtherPercent(double percent, double otherPercent, double otherTopWord) {
    public OtherPercent {
      var accepts =
          new Accepts()
              .positive("percent", percent, PERCENT)
              .positive("otherPercent", otherPercent, PERCENT)
              .between("otherTopWord", otherTopWord, 0, MOST_WORD);
      if (percent == otherPercent) {
        accepts.complain(
            "otherPercent",
            Message.of("jobfile.same-percent", Message.number(percent)),
            Message.of("jobfile.accepts.another-percent"));
      }
      accepts.orThrow();
    }
  }

  public JobReadings {
    var accepts = new Accepts();
    travelXMm.ifPresent(v -> accepts.positive("travelXMm", v, MOST_MM));
    travelYMm.ifPresent(v -> accepts.positive("travelYMm", v, MOST_MM));
    topWord.ifPresent(v -> accepts.positive("topWord", v, MOST_WORD));
    roundMm.ifPresent(v -> accepts.positive("roundMm", v, MOST_MM));
    sectionMm.ifPresent(v -> accepts.positive("sectionMm", v, MOST_MM));
    accepts.orThrow();
  }

  /**
   * Millimetres of one unit of the file's figures as {@link JobLook} has them; empty if unknown.
   */
  OptionalDouble mm() {
    return switch (look.unit()) {
      case MM, INCH, BOTH -> OptionalDouble.of(1);
      case NOT_SAID -> unitSaid.mm();
    };
  }
}
