package zebrawood.devices.mirrors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.DoubleStream;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.machine.Train;
import zebrawood.measure.TurnDirection;
import zebrawood.mirrors.Alignment;
import zebrawood.mirrors.MirrorFinding;
import zebrawood.mirrors.MirrorReadings;
import zebrawood.mirrors.MirrorReadings.At;
import zebrawood.mirrors.MirrorReadings.Mark;
import zebrawood.mirrors.MirrorReadings.Mount;
import zebrawood.mirrors.MirrorReadings.Screw;
import zebrawood.mirrors.MirrorReadings.Towards;

/**
 * Trains of one to three mirrors that fold by any angle, against rays that are reflected in three
 * dimensions and know nothing of columns, signs and gains.
 */
class OtherTrainsTest {
  private static final double ARM_MM = 45;
  private static final double PITCH_MM = 0.6;
  private static final Mount MOUNT =
      new Mount(
          new Screw(ARM_MM, PITCH_MM, Towards.RIGHT), new Screw(ARM_MM, PITCH_MM, Towards.UP));

  /** The way the beam travels, and what is up for who looks along it. */
  private record Frame(Vector3D along, Vector3D up) {
    Vector3D right() {
      return along.crossProduct(up);
    }
  }

  /** Mirrors in a row, each with its tilts; their distances are chosen for every burn. */
  private static final class Rays {
    private final Train train;
    private final List<Frame> frames = new ArrayList<>();
    private final double[] turned;
    private final double[] tipped;
    private final Vector3D tube;

    Rays(Train train, double errorMrad, Random random) {
      this.train = train;
      turned = angles(train.mirrors(), errorMrad, random);
      tipped = angles(train.mirrors(), errorMrad, random);
      frames.add(new Frame(Vector3D.PLUS_J, Vector3D.PLUS_K));
      for (int i = 0; i < train.mirrors(); i++) {
        frames.add(folded(frames.getLast(), i));
      }
      tube = new Vector3D(3 * random.nextDouble() - 1.5, 0, 3 * random.nextDouble() - 1.5);
    }

    private static double[] angles(int mirrors, double errorMrad, Random random) {
      return random.doubles(mirrors, -errorMrad / 2000, errorMrad / 2000).toArray();
    }

    /** Folds lie in the horizontal plane, to one side and the other; a single one goes down. */
    private Frame folded(Frame in, int mirror) {
      double fold = Math.PI - 2 * Math.toRadians(train.incidenceDeg().get(mirror));
      Vector3D about =
          train.mirrors() == 1 ? in.right().negate() : mirror == 1 ? in.up().negate() : in.up();
      Rotation turn = new Rotation(about, fold, RotationConvention.VECTOR_OPERATOR);
      Vector3D along = turn.applyTo(in.along());
      // What is normal to the plane of the fold stays; the other follows.
      return train.mirrors() == 1
          ? new Frame(along, in.right().crossProduct(along))
          : new Frame(along, in.up());
    }

    private Vector3D normal(int mirror) {
      Frame in = frames.get(mirror);
      Frame out = frames.get(mirror + 1);
      Vector3D ideal = out.along().subtract(in.along()).normalize();
      // The screws turn the mount about its upright and about the horizontal line in its face.
      Vector3D upright =
          train.mirrors() == 1 ? ideal.crossProduct(in.right()).normalize() : in.up();
      Vector3D level = train.mirrors() == 1 ? in.right() : in.up().crossProduct(ideal).normalize();
      Rotation one = new Rotation(upright, turned[mirror], RotationConvention.VECTOR_OPERATOR);
      Rotation two = new Rotation(level, tipped[mirror], RotationConvention.VECTOR_OPERATOR);
      return one.applyTo(two.applyTo(ideal));
    }

    private static Vector3D reflected(Vector3D along, Vector3D normal) {
      return along.subtract(2 * along.dotProduct(normal), normal).normalize();
    }

    private static Vector3D hit(Vector3D from, Vector3D along, Vector3D plane, Vector3D normal) {
      double t = plane.subtract(from).dotProduct(normal) / along.dotProduct(normal);
      return from.add(t, along);
    }

    /** Right and up on tape square to the beam, after legs of these lengths. */
    double[] burn(double... legsMm) {
      Vector3D place = Vector3D.ZERO;
      Vector3D from = tube;
      Vector3D along = frames.getFirst().along();
      for (int i = 0; i < legsMm.length; i++) {
        Vector3D normal = normal(i);
        from = hit(from, along, place, normal);
        along = reflected(along, normal);
        place = place.add(legsMm[i], frames.get(i + 1).along());
      }
      Frame last = frames.get(legsMm.length);
      Vector3D off = hit(from, along, place, last.along()).subtract(place);
      return new double[] {off.dotProduct(last.right()), off.dotProduct(last.up())};
    }

    /** The angle added at a mirror, in mrad. */
    double[] added(int mirror) {
      Frame out = frames.get(mirror + 1);
      Vector3D after = reflected(frames.get(mirror).along(), normal(mirror));
      return new double[] {1000 * after.dotProduct(out.right()), 1000 * after.dotProduct(out.up())};
    }

    /** Clockwise moves the beam to the right, or up. */
    void turn(int mirror, boolean sideways, double turns) {
      double[] angles = sideways ? turned : tipped;
      int axis = sideways ? 0 : 1;
      double before = added(mirror)[axis];
      angles[mirror] += turns * PITCH_MM / ARM_MM;
      if ((added(mirror)[axis] - before) * turns < 0) {
        angles[mirror] -= 2 * turns * PITCH_MM / ARM_MM;
      }
    }
  }

  /** Legs from mirror to mirror and to the tape; each place is met near and far. */
  private static List<double[]> burns(int mirrors) {
    return switch (mirrors) {
      case 1 -> List.of(new double[] {70}, new double[] {260});
      case 2 ->
          List.of(
              new double[] {200},
              new double[] {700},
              new double[] {200, 150},
              new double[] {200, 800},
              new double[] {700, 150},
              new double[] {700, 800});
      default ->
          List.of(
              new double[] {100},
              new double[] {600},
              new double[] {600, 200},
              new double[] {600, 700},
              new double[] {600, 200, 150},
              new double[] {600, 200, 800},
              new double[] {600, 700, 150},
              new double[] {600, 700, 800});
    };
  }

  private static MirrorReadings readings(Rays rays) {
    int mirrors = rays.train.mirrors();
    List<Mark> marks = new ArrayList<>();
    for (double[] legs : burns(mirrors)) {
      double[] read = rays.burn(legs);
      marks.add(
          new Mark(
              legs.length == mirrors ? At.HEAD : At.values()[legs.length - 1],
              DoubleStream.of(legs).sum(),
              legs.length > 1
                  ? OptionalDouble.of(DoubleStream.of(legs).skip(1).sum())
                  : OptionalDouble.empty(),
              legs.length > 2 ? OptionalDouble.of(legs[2]) : OptionalDouble.empty(),
              read[0],
              read[1]));
    }
    Map<String, Mount> mounts = new HashMap<>();
    for (int i = 1; i <= mirrors; i++) {
      mounts.put(String.valueOf(i), MOUNT);
    }
    return new MirrorReadings(0.1, 16, 0.3, mounts, marks, Optional.of(rays.train));
  }

  private static double signed(MirrorFinding.Turn turn) {
    return turn.direction() == TurnDirection.CLOCKWISE
        ? turn.turns().value()
        : -turn.turns().value();
  }

  private static void anglesAreFoundAndTurnsTakeThemAway(Train train) {
    Random random = new Random(train.hashCode());
    for (int i = 0; i < 50; i++) {
      Rays rays = new Rays(train, 6, random);
      MirrorFinding found = Alignment.solve(readings(rays));
      for (int mirror = 0; mirror < train.mirrors(); mirror++) {
        double[] truth = rays.added(mirror);
        MirrorFinding.Mirror m = found.mirrors().get(String.valueOf(mirror + 1));
        assertThat(m.beamErrorRightMrad().value()).isCloseTo(truth[0], within(0.15));
        assertThat(m.beamErrorUpMrad().value()).isCloseTo(truth[1], within(0.15));
      }
      for (int mirror = 0; mirror < train.mirrors(); mirror++) {
        MirrorFinding.Mirror m = found.mirrors().get(String.valueOf(mirror + 1));
        rays.turn(mirror, true, signed(m.sideways()));
        rays.turn(mirror, false, signed(m.upDown()));
      }
      MirrorFinding left = Alignment.solve(readings(rays));
      assertThat(left.wanderNowMm())
          .as("of " + found.wanderNowMm() + " mm before")
          .isLessThan(0.02 + 0.05 * found.wanderNowMm());
    }
  }

  @ParameterizedTest
  @ValueSource(doubles = {30, 45, 55})
  void aTubeOnTheHeadWithOneMirror(double incidenceDeg) {
    anglesAreFoundAndTurnsTakeThemAway(new Train(List.of(incidenceDeg)));
  }

  @ParameterizedTest
  @ValueSource(doubles = {25, 45, 60})
  void twoMirrorsThatFoldByAnyAngle(double incidenceDeg) {
    anglesAreFoundAndTurnsTakeThemAway(new Train(List.of(incidenceDeg, 90 - incidenceDeg)));
  }

  @Test
  void threeMirrors() {
    anglesAreFoundAndTurnsTakeThemAway(new Train(List.of(45.0, 45.0, 45.0)));
    anglesAreFoundAndTurnsTakeThemAway(new Train(List.of(40.0, 30.0, 55.0)));
  }
}
