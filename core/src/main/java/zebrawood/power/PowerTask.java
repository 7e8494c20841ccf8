package zebrawood.power;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.machine.PulseRange;
import zebrawood.measure.Accepts;
import zebrawood.station.Proof;

/** What a visit asks: what "100 %" is, by one of the ways to agree on it. */
public sealed interface PowerTask {
  /** What is tried with a mark, on a source without a meter. */
  enum Item {
    /** A mark at full power is darker than one at nine tenths: the scale does not end before. */
    TOP_DARKER,
    /** More percent burn darker, not lighter. */
    NOT_BACKWARDS
  }

  /** The card of the saved test job beside the one that was kept. */
  enum Card {
    NOT_BURNT,
    /** The first one: it is what later cards are held against. */
    KEPT,
    ALIKE,
    LIGHTER,
    DARKER
  }

  /**
   * A tube without a meter: a highest percentage that was agreed, and what a card of shades shows.
   *
   * @param agreedPercent the highest that jobs may use
   */
  record ByCard(double agreedPercent, Card card) implements PowerTask {
    public ByCard {
      new Accepts().positive("agreedPercent", agreedPercent, 100).orThrow();
    }
  }

  /**
   * The dial for an agreed current, from several settings.
   *
   * @param atTopMa read at the test job with the dial set; empty while it is not
   */
  record ByMeter(CeilingReadings readings, OptionalDouble atTopMa) implements PowerTask {
    public ByMeter {
      var accepts = new Accepts();
      atTopMa.ifPresent(ma -> accepts.between("atTopMa", ma, 0, CeilingReadings.MOST_MA));
      accepts.orThrow();
    }
  }

  /** The factory's regulation is trusted; one reading at the top proves it. */
  record ByFactory(double tubeMaximumMa, double meterResolutionMa, OptionalDouble atTopMa)
      implements PowerTask {
    public ByFactory {
      var accepts = tube(tubeMaximumMa, meterResolutionMa);
      atTopMa.ifPresent(ma -> accepts.between("atTopMa", ma, 0, CeilingReadings.MOST_MA));
      accepts.orThrow();
    }
  }

  /**
   * The periodic check: the saved test job again, back to the same current.
   *
   * @param dialPercent where the dial stands; empty where it was not looked at
   * @param slopeMaPerPercent what a percent of the dial changed when it was read last
   */
  record ByCheck(
      double tubeMaximumMa,
      double meterResolutionMa,
      double agreedMa,
      double readMa,
      OptionalDouble dialPercent,
      OptionalDouble slopeMaPerPercent)
      implements PowerTask {
    public ByCheck {
      var accepts =
          tube(tubeMaximumMa, meterResolutionMa)
              .positive("agreedMa", agreedMa, tubeMaximumMa)
              .between("readMa", readMa, 0, CeilingReadings.MOST_MA);
      dialPercent.ifPresent(p -> accepts.between("dialPercent", p, 0, 100));
      slopeMaPerPercent.ifPresent(
          s -> accepts.positive("slopeMaPerPercent", s, CeilingReadings.MOST_MA));
      accepts.orThrow();
    }
  }

  /**
   * A source that is told its power as a word of its controller.
   *
   * @param jobTop the highest word that the job's program sends, and {@code controllerTop} the one
   *     that the controller takes for all
   * @param firingPercent the lowest that marks at all
   * @param pulse of a pulsed source, as it is set
   * @param range the rates that its data sheet gives
   * @param behindDriver of a source that has no words, being told a percentage by its driver or its
   *     panel: how its card compares; empty where it has words
   */
  record ByWords(
      OptionalDouble jobTop,
      OptionalDouble controllerTop,
      OptionalDouble firingPercent,
      List<Proof<Item>> proofs,
      boolean pulsed,
      Pulse pulse,
      Optional<PulseRange> range,
      Optional<Card> behindDriver)
      implements PowerTask {
    public ByWords {
      proofs = List.copyOf(proofs);
      var accepts = new Accepts();
      Proof.eachOnce("proofs", proofs, accepts);
      jobTop.ifPresent(w -> accepts.positive("jobTop", w, 1_000_000));
      controllerTop.ifPresent(w -> accepts.positive("controllerTop", w, 1_000_000));
      firingPercent.ifPresent(p -> accepts.between("firingPercent", p, 0, 100));
      accepts.orThrow();
    }
  }

  /** How it pulses, as far as that was read. */
  record Pulse(OptionalDouble lengthNs, OptionalDouble rateKhz) {
    public Pulse {
      var accepts = new Accepts();
      lengthNs.ifPresent(ns -> accepts.positive("lengthNs", ns, 1e9));
      rateKhz.ifPresent(khz -> accepts.positive("rateKhz", khz, 100_000));
      accepts.orThrow();
    }
  }

  private static Accepts tube(double maximumMa, double resolutionMa) {
    return new Accepts()
        .positive("tubeMaximumMa", maximumMa, CeilingReadings.MOST_MA)
        .positive("meterResolutionMa", resolutionMa, CeilingReadings.MOST_MA);
  }
}
