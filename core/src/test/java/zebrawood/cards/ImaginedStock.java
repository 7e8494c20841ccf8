package zebrawood.cards;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * A made-up stock, by laws of its own: none of them is the one that is fitted. Below a threshold
 * nothing happens; above, it goes with energy to a power, and levels off each in its own way.
 */
public final class ImaginedStock {
  /** How it takes the beam. */
  public enum Kind {
    /** Melts off a layer: levels off as a Hill curve. */
    LAMINATE,
    /** Browns, then chars; much more turns it to light ash. */
    WOOD,
    /** Bleaches at nearly one energy: a step, smeared. */
    ANODISED,
    /** Slowly and never very dark, and faster squares lose less than their energy says. */
    SLATE
  }

  private final Kind kind;
  private final double watts;
  private final double threshold;
  private final double half;
  private final double speedPower;
  private final double steepness;
  private final double darkest;
  private final double ash;

  public ImaginedStock(Kind kind, Random random) {
    this.kind = kind;
    watts = 40 + 60 * random.nextDouble();
    threshold = random.nextBoolean() ? 0 : 0.01 + 0.03 * random.nextDouble();
    half = 0.1 * Math.exp(0.5 * random.nextGaussian());
    speedPower =
        switch (kind) {
          case SLATE -> 0.55 + 0.2 * random.nextDouble();
          case ANODISED -> 0.8 + 0.2 * random.nextDouble();
          default -> 0.85 + 0.3 * random.nextDouble();
        };
    steepness = 0.7 + 0.6 * random.nextDouble();
    darkest = 0.55 + 0.4 * random.nextDouble();
    ash = 6 + 10 * random.nextDouble();
  }

  /** Of a square burnt with so much of the power that the beam has now. */
  public double darkness(double percent, double speedMmS, double power) {
    double energy = power * watts * percent / 100 / Math.pow(speedMmS, speedPower) - threshold;
    if (energy <= 0) {
      return 0;
    }
    double x = Math.pow(energy / half, steepness);
    return darkest
        * switch (kind) {
          case LAMINATE -> x / (1 + x);
          case WOOD -> Math.tanh(0.8 * x) * (1 - 0.45 * smooth(Math.log(energy / half / ash)));
          case ANODISED -> smooth(2.2 * Math.log(x));
          case SLATE -> 0.8 * Math.log1p(1.5 * x) / (1 + 0.25 * Math.log1p(x));
        };
  }

  private static double smooth(double u) {
    return 0.5 * (1 + Math.tanh(0.8 * u));
  }

  /** Where a square of this speed in the middle of the usual powers is half dark. */
  double halfDarkSpeed(double percent) {
    double low = 0.1;
    double high = 4000;
    for (int i = 0; i < 60; i++) {
      double middle = Math.sqrt(low * high);
      if (darkness(percent, middle, 1) > 0.5 * darkest) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** A card as somebody would burn it: powers evenly, speeds in steps, about the middle. */
  public List<CardSample> card(
      int columns, int rows, double reach, double power, double noise, Random random) {
    double middle = halfDarkSpeed(35);
    List<CardSample> squares = new ArrayList<>();
    for (int row = 0; row < rows; row++) {
      double speed = middle * Math.pow(reach, 2.0 * row / (rows - 1) - 1);
      for (int column = 0; column < columns; column++) {
        double percent = 10 + 50.0 * column / (columns - 1);
        double seen = darkness(percent, speed, power) + noise * random.nextGaussian();
        squares.add(new CardSample(speed, percent, Math.clamp(seen, -0.1, 1)));
      }
    }
    return squares;
  }
}
