package zebrawood.mirrors;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;

/**
 * Marks on tape, and the screws of the two mounts.
 *
 * @param markResolutionMm what a mark's place is read to
 * @param apertureMm opening of the head
 * @param toleranceMm allowed wander at the head
 * @param mounts of mirror "1" and mirror "2"
 * @param marks any number, in any order
 */
public record MirrorReadings(
    double markResolutionMm,
    double apertureMm,
    double toleranceMm,
    Map<String, Mount> mounts,
    List<Mark> marks) {

  /** Where a mark is burnt. */
  public enum At {
    MIRROR_2,
    /** At the head's entrance, before the third mirror. */
    HEAD
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
   */
  public record Screw(double armMm, double pitchMm, Towards clockwiseMovesBeam) {
    public Screw {
      new Accepts().positive("armMm", armMm, 1000).positive("pitchMm", pitchMm, 10).orThrow();
    }
  }

  /** The two screws of a mirror. */
  public record Mount(Screw sideways, Screw upDown) {
    public Mount {
      var accepts = new Accepts();
      if (sideways.clockwiseMovesBeam != Towards.RIGHT
          && sideways.clockwiseMovesBeam != Towards.LEFT) {
        accepts.complain("sideways.clockwiseMovesBeam", spelled(sideways), "\"right\" or \"left\"");
      }
      if (upDown.clockwiseMovesBeam != Towards.UP && upDown.clockwiseMovesBeam != Towards.DOWN) {
        accepts.complain("upDown.clockwiseMovesBeam", spelled(upDown), "\"up\" or \"down\"");
      }
      accepts.orThrow();
    }

    private static String spelled(Screw screw) {
      return "\"" + screw.clockwiseMovesBeam.name().toLowerCase(java.util.Locale.ROOT) + "\"";
    }
  }

  /**
   * @param pathFrom1Mm whole path of the beam from mirror 1
   * @param pathFrom2Mm path from mirror 2, for a mark at the head only
   */
  public record Mark(
      At at, double pathFrom1Mm, OptionalDouble pathFrom2Mm, double rightMm, double upMm) {
    public Mark {
      var accepts =
          new Accepts()
              .positive("pathFrom1Mm", pathFrom1Mm, 100_000)
              .between("rightMm", rightMm, -1000, 1000)
              .between("upMm", upMm, -1000, 1000);
      if (at == At.HEAD) {
        if (pathFrom2Mm.isEmpty()) {
          accepts.complain("pathFrom2Mm", null, "the path from mirror 2, for a mark at the head");
        } else {
          accepts.positive("pathFrom2Mm", pathFrom2Mm.getAsDouble(), 100_000);
          if (pathFrom2Mm.getAsDouble() > pathFrom1Mm) {
            accepts.complain(
                "pathFrom2Mm", pathFrom2Mm.getAsDouble(), "at most pathFrom1Mm, the whole path");
          }
        }
      } else if (pathFrom2Mm.isPresent()) {
        accepts.complain(
            "pathFrom2Mm", pathFrom2Mm.getAsDouble(), "nothing, for a mark at mirror 2");
      }
      accepts.orThrow();
    }

    public boolean atHead() {
      return at == At.HEAD;
    }
  }

  public MirrorReadings {
    mounts = Map.copyOf(mounts);
    marks = List.copyOf(marks);
    var accepts =
        new Accepts()
            .positive("markResolutionMm", markResolutionMm, 100)
            .positive("apertureMm", apertureMm, 1000)
            .positive("toleranceMm", toleranceMm, 1000);
    for (String mirror : List.of("1", "2")) {
      if (!mounts.containsKey(mirror)) {
        accepts.complain("mounts." + mirror, null, "the screws of mirror " + mirror);
      }
    }
    mounts.keySet().stream()
        .filter(m -> !m.equals("1") && !m.equals("2"))
        .sorted()
        .forEach(m ->
            accepts.complain("mounts." + m, "an unknown mirror", "mounts of \"1\" and \"2\" only"));
    if (accepts.fine()) {
      MarksNeeded.missing(marks).ifPresent(m -> accepts.complain("marks", m.found(), m.accepted()));
    }
    accepts.orThrow();
  }
}
