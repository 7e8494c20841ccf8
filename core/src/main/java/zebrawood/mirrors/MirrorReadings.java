package zebrawood.mirrors;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.machine.Train;
import zebrawood.measure.Accepts;
import zebrawood.measure.Estimate;
import zebrawood.words.Message;

/**
 * Marks on tape, and the screws of the mounts.
 *
 * @param markResolutionMm what a mark's place is read to
 * @param apertureMm opening of the head
 * @param toleranceMm allowed wander at the head
 * @param mounts by the mirror's number from the tube on, from "1"
 * @param marks any number, in any order
 * @param train the steering mirrors; two at 45 degrees where nothing is said
 */
public record MirrorReadings(
    double markResolutionMm,
    double apertureMm,
    double toleranceMm,
    Map<String, Mount> mounts,
    List<Mark> marks,
    Optional<Train> train) {

  /** For the usual two mirrors. */
  public MirrorReadings(
      double markResolutionMm,
      double apertureMm,
      double toleranceMm,
      Map<String, Mount> mounts,
      List<Mark> marks) {
    this(markResolutionMm, apertureMm, toleranceMm, mounts, marks, Optional.empty());
  }

  /** The steering mirrors of this machine. */
  public Train mirrorTrain() {
    return train.orElse(Train.USUAL);
  }

  /** The same marks with other screws, such as learned ones. */
  public MirrorReadings withMounts(Map<String, Mount> its) {
    return new MirrorReadings(markResolutionMm, apertureMm, toleranceMm, its, marks, train);
  }

  /** Where a mark is burnt. */
  public enum At {
    MIRROR_2,
    MIRROR_3,
    /** At the head's entrance, before the mirror that folds the beam down. */
    HEAD;

    /** How many mirrors of a train the beam has met there. */
    int mirrorsBefore(int mirrors) {
      return this == HEAD ? mirrors : ordinal() + 1;
    }

    /** Such as "mirror 2". */
    Message said() {
      return this == HEAD
          ? Message.of("mirrors.at.head")
          : Message.of("mirrors.at.mirror", ordinal() + 2);
    }
  }

  /** Which way the beam goes for a clockwise turn. */
  public enum Towards {
    RIGHT,
    LEFT,
    UP,
    DOWN
  }

  /**
   * @param armMm from the screw to the mount's pivot
   * @param pitchMm of its thread
   * @param learned what a trial turn did, instead of arm and pitch
   */
  public record Screw(
      double armMm, double pitchMm, Towards clockwiseMovesBeam, Optional<Learned> learned) {
    public Screw {
      new Accepts()
          .between("armMm", armMm, 1, 1000)
          .between("pitchMm", pitchMm, 0.05, 10)
          .orThrow();
    }

    public Screw(double armMm, double pitchMm, Towards clockwiseMovesBeam) {
      this(armMm, pitchMm, clockwiseMovesBeam, Optional.empty());
    }

    /** What it does to the beam, whose angle changes {@code gain} times as much as the mirror's. */
    Learned response(double gain) {
      return learned.orElse(new Learned(new Estimate(1000 * gain * pitchMm / armMm, 0)));
    }
  }

  /** The beam's angle for one turn, as it was measured. */
  public record Learned(Estimate mradPerTurn) {
    public Learned {
      new Accepts()
          .between("mradPerTurn", mradPerTurn.value(), 0.01, 1000)
          .between("mradPerTurnUncertainty", mradPerTurn.uncertainty(), 0, 1000)
          .orThrow();
    }
  }

  /** The two screws of a mirror. */
  public record Mount(Screw sideways, Screw upDown) {
    public Mount {
      var accepts = new Accepts();
      if (sideways.clockwiseMovesBeam != Towards.RIGHT
          && sideways.clockwiseMovesBeam != Towards.LEFT) {
        accepts.complain(
            "sideways.clockwiseMovesBeam",
            spelled(sideways),
            Message.of("mirrors.mirror-readings.right-left"));
      }
      if (upDown.clockwiseMovesBeam != Towards.UP && upDown.clockwiseMovesBeam != Towards.DOWN) {
        accepts.complain(
            "upDown.clockwiseMovesBeam",
            spelled(upDown),
            Message.of("mirrors.mirror-readings.up-down"));
      }
      accepts.orThrow();
    }

    private static Message spelled(Screw screw) {
      return Message.quoted(
          "\"" + screw.clockwiseMovesBeam.name().toLowerCase(java.util.Locale.ROOT) + "\"");
    }
  }

  /**
   * @param pathFrom1Mm whole path of the beam from mirror 1
   * @param pathFrom2Mm path from mirror 2, for a mark that comes after it
   * @param pathFrom3Mm path from mirror 3, for a mark that comes after it
   */
  public record Mark(
      At at,
      double pathFrom1Mm,
      OptionalDouble pathFrom2Mm,
      OptionalDouble pathFrom3Mm,
      double rightMm,
      double upMm) {
    public Mark {
      var accepts =
          new Accepts()
              .between("pathFrom1Mm", pathFrom1Mm, SHORTEST_PATH_MM, 100_000)
              .between("rightMm", rightMm, -1000, 1000)
              .between("upMm", upMm, -1000, 1000);
      shorter(accepts, "pathFrom2Mm", pathFrom2Mm, pathFrom1Mm);
      shorter(accepts, "pathFrom3Mm", pathFrom3Mm, pathFrom2Mm.orElse(pathFrom1Mm));
      accepts.orThrow();
    }

    public Mark(
        At at, double pathFrom1Mm, OptionalDouble pathFrom2Mm, double rightMm, double upMm) {
      this(at, pathFrom1Mm, pathFrom2Mm, OptionalDouble.empty(), rightMm, upMm);
    }

    private static void shorter(Accepts accepts, String field, OptionalDouble path, double whole) {
      path.ifPresent(mm -> {
        accepts.between(field, mm, SHORTEST_PATH_MM, 100_000);
        if (mm > whole) {
          accepts.complain(
              field, mm, Message.of("mirrors.accepts.whole-path", Message.number(whole)));
        }
      });
    }

    public boolean atHead() {
      return at == At.HEAD;
    }

    /** From a mirror to the mark; empty where it comes before that mirror. */
    OptionalDouble pathFrom(int mirror) {
      return switch (mirror) {
        case 1 -> OptionalDouble.of(pathFrom1Mm);
        case 2 -> pathFrom2Mm;
        default -> pathFrom3Mm;
      };
    }

    /** In metres, so that with mrad it makes mm. */
    double metresFrom(int mirror) {
      return pathFrom(mirror).orElseThrow() / 1000;
    }

    /** The same place, so that two marks there tell whether they repeat. */
    boolean samePlace(Mark other) {
      return at == other.at
          && near(pathFrom1Mm, other.pathFrom1Mm)
          && near(pathFrom2Mm.orElse(0), other.pathFrom2Mm.orElse(0))
          && near(pathFrom3Mm.orElse(0), other.pathFrom3Mm.orElse(0));
    }

    private static boolean near(double oneMm, double otherMm) {
      return Math.abs(oneMm - otherMm) < SAME_PLACE_MM;
    }
  }

  /** Where tape can be stuck. */
  private static final double SHORTEST_PATH_MM = 1;

  /** Nobody burns more. */
  private static final int MOST_MARKS = 1000;

  /** A carriage that is stopped by eye stands no better than this. */
  private static final double SAME_PLACE_MM = 5;

  public MirrorReadings {
    mounts = Map.copyOf(mounts);
    marks = List.copyOf(marks);
    var accepts =
        new Accepts()
            .between("markResolutionMm", markResolutionMm, 1e-9, 20)
            .between("apertureMm", apertureMm, 0.1, 1000)
            .between("toleranceMm", toleranceMm, 1e-9, 1000)
            .atMost("marks", marks, MOST_MARKS);
    int mirrors = train.orElse(Train.USUAL).mirrors();
    for (int mirror = 1; mirror <= mirrors; mirror++) {
      if (!mounts.containsKey(String.valueOf(mirror))) {
        accepts.complain(
            "mounts." + mirror,
            Message.of("accepts.missing"),
            Message.of("mirrors.accepts.screws-of", mirror));
      }
    }
    mounts.keySet().stream()
        .filter(m -> !m.matches("[1-" + mirrors + "]"))
        .sorted()
        .forEach(m ->
            accepts.complain(
                "mounts." + m,
                Message.of("mirrors.mirror-readings.unknown-mirror"),
                Message.of("mirrors.accepts.mounts", named(mirrors))));
    for (int i = 0; i < marks.size(); i++) {
      paths(accepts, "marks[" + i + "].", marks.get(i), mirrors);
    }
    if (accepts.fine()) {
      MarksNeeded.missing(marks, mirrors)
          .ifPresent(m -> accepts.complain("marks", m.found(), m.accepted()));
    }
    accepts.orThrow();
  }

  /** Such as {@code "1" and "2" only}. */
  private static Message named(int mirrors) {
    return switch (mirrors) {
      case 1 -> Message.of("mirrors.mirror-readings.1-only");
      case 2 -> Message.of("mirrors.mirror-readings.1-2-only");
      default -> Message.of("mirrors.mirror-readings.1-2-3");
    };
  }

  /** A mark has a path from every mirror before it, and from no other. */
  private static void paths(Accepts accepts, String field, Mark mark, int mirrors) {
    int before = mark.at.mirrorsBefore(mirrors);
    if (before > mirrors || mark.at != At.HEAD && before >= mirrors) {
      accepts.complain(
          field + "at", mark.at.said(), Message.of("mirrors.accepts.place-of-train", mirrors));
      return;
    }
    for (int mirror = 2; mirror <= Train.MOST; mirror++) {
      OptionalDouble path = mark.pathFrom(mirror);
      String name = field + "pathFrom" + mirror + "Mm";
      if (mirror <= before && path.isEmpty()) {
        accepts.complain(
            name,
            Message.of("accepts.missing"),
            Message.of("mirrors.accepts.path", mirror, mark.at.said()));
      } else if (mirror > before && path.isPresent()) {
        accepts.complain(
            name, path.getAsDouble(), Message.of("mirrors.accepts.no-path", mark.at.said()));
      }
    }
  }
}
