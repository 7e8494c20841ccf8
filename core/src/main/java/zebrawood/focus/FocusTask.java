package zebrawood.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.focus.RampReadings.Slope;
import zebrawood.measure.Accepts;
import zebrawood.station.Help;
import zebrawood.words.Message;

/** One complete reading of where the focus is, in any of the ways to find it. */
public sealed interface FocusTask {
  /**
   * The gauge or stick that came with the machine, pushed between the reference and the work.
   *
   * @param lengthMm as measured on the gauge itself
   * @param resolutionMm of what its length was measured with; empty while it was only read off it
   * @param felt how it goes in as the machine is set now; empty while nobody tried
   */
  record ByGauge(double lengthMm, OptionalDouble resolutionMm, Optional<Felt> felt)
      implements FocusTask {
    public ByGauge(double lengthMm, OptionalDouble resolutionMm) {
      this(lengthMm, resolutionMm, Optional.empty());
    }

    public ByGauge {
      var accepts = new Accepts().positive("lengthMm", lengthMm, 1000);
      resolutionMm.ifPresent(mm -> accepts.positive("resolutionMm", mm, 10));
      accepts.orThrow();
    }
  }

  /** How a gauge goes in between the reference and the work. */
  enum Felt {
    /** It does not go in, or lifts something. */
    TIGHT,
    /** It slides and touches both. */
    TOUCHES,
    /** It goes in and leaves a gap. */
    LEAVES_GAP
  }

  /**
   * The machine's own pin or button: it was pressed, and a mark burnt at the height it chose.
   *
   * @param sharp whether the mark is as sharp as it should be
   */
  record ByOwn(boolean sharp) implements FocusTask {}

  record ByRamp(RampReadings readings) implements FocusTask {}

  record ByPhoto(RampPhotoReadings readings) implements FocusTask {}

  /**
   * The thinnest place of a ramp as the eye sees it.
   *
   * @param giveOrTakeMm how far to either side it may well lie: two standard deviations
   */
  record ByPencil(double alongMm, double giveOrTakeMm, Board board) implements FocusTask {
    public ByPencil {
      new Accepts()
          .between("alongMm", alongMm, -RampReadings.LONGEST_MM, RampReadings.LONGEST_MM)
          .positive("giveOrTakeMm", giveOrTakeMm, RampReadings.LONGEST_MM)
          .orThrow();
    }
  }

  /**
   * Two places of a ramp, on both sides of the thinnest, where the line is equally wide.
   *
   * @param giveOrTakeMm how far each may well be off: two standard deviations
   */
  record ByEqualWidths(double oneMm, double otherMm, double giveOrTakeMm, Board board)
      implements FocusTask {
    public ByEqualWidths {
      new Accepts()
          .between("oneMm", oneMm, -RampReadings.LONGEST_MM, RampReadings.LONGEST_MM)
          .between("otherMm", otherMm, -RampReadings.LONGEST_MM, RampReadings.LONGEST_MM)
          .positive("giveOrTakeMm", giveOrTakeMm, RampReadings.LONGEST_MM)
          .orThrow();
    }
  }

  /**
   * @param scale that the heights are read on, where they are no gaps; else empty
   */
  record ByLadder(LadderReadings readings, Optional<HeightScale> scale) implements FocusTask {}

  /**
   * A scale of the table, the head or the column: it tells where the focus is on itself alone,
   * until a gap is read there.
   *
   * @param gapAtBestMm read with the machine at the best height; empty while it was not read
   * @param resolutionMm of that gap
   */
  record HeightScale(OptionalDouble gapAtBestMm, double resolutionMm) {
    public HeightScale {
      var accepts = new Accepts().positive("resolutionMm", resolutionMm, 50);
      gapAtBestMm.ifPresent(mm -> accepts.between("gapAtBestMm", mm, 0, RampReadings.LONGEST_MM));
      accepts.orThrow();
    }
  }

  /**
   * While it marks, the height is changed: by the dot, the sound or the sparks there is one that is
   * best, or two at which it fades alike.
   *
   * @param bestMm the gap there
   * @param fadesMm the gaps at which it fades; both or none
   * @param giveOrTakeMm how far each may well be off: two standard deviations
   */
  record ByLive(
      OptionalDouble bestMm,
      OptionalDouble fadesMm,
      OptionalDouble fadesAgainMm,
      double giveOrTakeMm)
      implements FocusTask {
    public ByLive {
      var accepts = new Accepts().positive("giveOrTakeMm", giveOrTakeMm, 1000);
      bestMm.ifPresent(mm -> accepts.between("bestMm", mm, 0, RampReadings.LONGEST_MM));
      fadesMm.ifPresent(mm -> accepts.between("fadesMm", mm, 0, RampReadings.LONGEST_MM));
      fadesAgainMm.ifPresent(mm -> accepts.between("fadesAgainMm", mm, 0, RampReadings.LONGEST_MM));
      boolean both = fadesMm.isPresent() && fadesAgainMm.isPresent();
      if (!both && (bestMm.isEmpty() || fadesMm.isPresent() || fadesAgainMm.isPresent())) {
        accepts.complain(
            "bestMm", Message.of("focus.live.found"), Message.of("focus.live.accepts"));
      }
      accepts.orThrow();
    }
  }

  /** A spot that is oblong: a ramp along each of the machine's axes. */
  record ByAxes(RampReadings alongX, RampReadings alongY) implements FocusTask {}

  /**
   * What the machine's own probe chose, against a focus that a ramp found with the same lens.
   *
   * @param chosenMm the gap that it chose each time
   * @param offsetSetMm the offset that the machine adds now
   */
  record ByProbe(
      List<Double> chosenMm,
      double resolutionMm,
      double focusGapMm,
      double focusGapUncertaintyMm,
      OptionalDouble offsetSetMm)
      implements FocusTask {
    static final int LEAST_PROBES = 3;

    public ByProbe {
      chosenMm = List.copyOf(chosenMm);
      var accepts =
          new Accepts()
              .atLeast("chosenMm", chosenMm, LEAST_PROBES, "focus.count.probes")
              .positive("resolutionMm", resolutionMm, 10)
              .between("focusGapMm", focusGapMm, 0, RampReadings.LONGEST_MM)
              .between("focusGapUncertaintyMm", focusGapUncertaintyMm, 0, 100);
      for (int i = 0; i < chosenMm.size(); i++) {
        accepts.between("chosenMm[" + i + "]", chosenMm.get(i), 0, RampReadings.LONGEST_MM);
      }
      offsetSetMm.ifPresent(mm -> accepts.between("offsetSetMm", mm, -1000, 1000));
      accepts.orThrow();
    }
  }

  /** A ramp's board where only places along it are read. */
  record Board(double runMm, double riseMm, double gapAtStartMm) {
    public Board {
      var accepts = new Accepts();
      RampReadings.slope(accepts, runMm, riseMm, gapAtStartMm);
      accepts.orThrow();
    }

    Slope slope() {
      return new Slope(runMm, riseMm, gapAtStartMm, 0);
    }
  }

  /** Where the focus is by this reading. */
  default FocusEstimate locate(Help help) {
    return switch (this) {
      case ByGauge gauge -> FocusEstimate.by(gauge);
      case ByOwn own -> FocusEstimate.unread();
      case ByRamp(RampReadings readings) -> FocusEstimate.of(Ramp.solve(readings));
      case ByPhoto(RampPhotoReadings readings) ->
          FocusEstimate.of(
              RampPhoto.solve(
                  readings, help.pictures().apply(readings.imagePath()), help.reached()));
      case ByPencil pencil -> FocusEstimate.by(pencil);
      case ByEqualWidths equal -> FocusEstimate.by(equal);
      case ByLadder ladder -> FocusEstimate.by(ladder);
      case ByLive live -> FocusEstimate.by(live);
      case ByAxes axes -> FocusEstimate.by(axes);
      case ByProbe probe -> FocusEstimate.by(probe);
    };
  }
}
