package zebrawood.focus;

import java.util.OptionalDouble;

/**
 * A symmetric law of width or score against the height t above the focus; {@code p[0]} is where the
 * focus is, and no part of these.
 */
public enum Law {
  /** A Gaussian beam's: the squared width is a parabola, {@code w^2 = p1 + p2 t^2}. */
  GAUSSIAN_WIDTH(3) {
    @Override
    double value(double[] p, double t) {
      return root(p[1] + p[2] * t * t);
    }

    @Override
    void slopes(double[] p, double t, double[] row) {
      double w = value(p, t);
      row[0] = -p[2] * t / w;
      row[1] = 0.5 / w;
      row[2] = 0.5 * t * t / w;
    }
  },
  /** With the next even term, for a burn that widens otherwise than its beam. */
  HIGHER_WIDTH(4) {
    @Override
    double value(double[] p, double t) {
      return root(p[1] + t * t * (p[2] + p[3] * t * t));
    }

    @Override
    void slopes(double[] p, double t, double[] row) {
      double w = value(p, t);
      row[0] = -t * (p[2] + 2 * p[3] * t * t) / w;
      row[1] = 0.5 / w;
      row[2] = 0.5 * t * t / w;
      row[3] = 0.5 * t * t * t * t / w;
    }
  },
  /**
   * A line burnt where the dose is above a threshold: a wider beam's dose is less, so that the burn
   * widens less than its beam, {@code w^2 = p1 (1 + u)(1 - p3 ln(1 + u))} with u = p2 t^2.
   */
  DOSE_WIDTH(4) {
    @Override
    double value(double[] p, double t) {
      double u = Math.max(0, p[2]) * t * t;
      return root(p[1] * (1 + u) * (1 - p[3] * Math.log1p(u)));
    }

    @Override
    void slopes(double[] p, double t, double[] row) {
      double w = value(p, t);
      double u = Math.max(0, p[2]) * t * t;
      double log = Math.log1p(u);
      double byU = p[1] * (1 - p[3] * log - p[3]) / (2 * w);
      row[0] = -2 * p[2] * t * byU;
      row[1] = (1 + u) * (1 - p[3] * log) / (2 * w);
      row[2] = t * t * byU;
      row[3] = -p[1] * (1 + u) * log / (2 * w);
    }
  },
  /** A score that falls off as a parabola, {@code s = p1 - p2 t^2}. */
  PARABOLA_SCORE(3) {
    @Override
    double value(double[] p, double t) {
      return p[1] - p[2] * t * t;
    }

    @Override
    void slopes(double[] p, double t, double[] row) {
      row[0] = 2 * p[2] * t;
      row[1] = 1;
      row[2] = -t * t;
    }
  },
  /**
   * A score that follows the beam's intensity on its axis, {@code s = p1 / (1 + p2 t^2)}; only in
   * entries of earlier versions, since a constant added to all scores changes it.
   */
  INTENSITY_SCORE(3) {
    @Override
    double value(double[] p, double t) {
      return p[1] / (1 + p[2] * t * t);
    }

    @Override
    void slopes(double[] p, double t, double[] row) {
      double d = 1 + p[2] * t * t;
      row[0] = 2 * p[1] * p[2] * t / (d * d);
      row[1] = 1 / d;
      row[2] = -p[1] * t * t / (d * d);
    }
  },
  /** The same above a floor, {@code s = p3 + p1 / (1 + p2 t^2)}. */
  INTENSITY_OVER_FLOOR(4) {
    @Override
    double value(double[] p, double t) {
      return p[3] + p[1] / (1 + p[2] * t * t);
    }

    @Override
    void slopes(double[] p, double t, double[] row) {
      INTENSITY_SCORE.slopes(p, t, row);
      row[3] = 1;
    }
  };

  /** Lower bound of a squared width in mm²; less comes from an overshooting step. */
  private static final double SMALLEST_SQUARE = 1e-10;

  final int parameters;

  Law(int parameters) {
    this.parameters = parameters;
  }

  private static double root(double square) {
    return Math.sqrt(Math.max(square, SMALLEST_SQUARE));
  }

  abstract double value(double[] p, double t);

  /** The derivatives by every parameter, the place first. */
  abstract void slopes(double[] p, double t, double[] row);

  /** Whether the law falls off from its middle as far as the readings reach. */
  boolean opens(double[] p, double farthest) {
    return switch (this) {
      case GAUSSIAN_WIDTH -> p[1] > 0 && p[2] > 0;
      case HIGHER_WIDTH -> p[1] > 0 && p[2] > 0 && p[2] + 2 * p[3] * farthest * farthest > 0;
      case DOSE_WIDTH ->
          p[1] > 0
              && p[2] > 0
              && p[3] > -1
              && p[3] < MOST_DOSE
              && p[3] * Math.log1p(p[2] * farthest * farthest) < 1;
      case PARABOLA_SCORE -> p[2] > 0;
      case INTENSITY_SCORE, INTENSITY_OVER_FLOOR -> p[1] > 0 && p[2] > 0;
    };
  }

  /**
   * How far from the middle a width has grown by a tenth, or a score has lost a tenth of its range;
   * in the unit of t. Of a burn that never grows so much it is that of the beam, where the law
   * tells it, else empty.
   *
   * @param farthest the reading that lies farthest from the middle: it ends the range of scores
   */
  OptionalDouble halfDepth(double[] p, double farthest) {
    return switch (this) {
      case GAUSSIAN_WIDTH -> OptionalDouble.of(Math.sqrt(GROWN * p[1] / p[2]));
      case HIGHER_WIDTH -> {
        double b = p[2];
        double more = GROWN * p[1];
        // p[3] t^4 + b t^2 = more, written so that p[3] may be nothing.
        double under = b * b + 4 * p[3] * more;
        yield under < 0
            ? OptionalDouble.empty()
            : OptionalDouble.of(Math.sqrt(2 * more / (b + Math.sqrt(under))));
      }
      case DOSE_WIDTH -> {
        double low = 0;
        // Beyond it the burn grows no wider, whatever the beam does.
        double high = p[3] > 0 ? Math.expm1(Math.min(1 / p[3] - 1, 20)) : 2 * GROWN;
        if ((1 + high) * (1 - p[3] * Math.log1p(high)) < 1 + GROWN) {
          yield OptionalDouble.of(Math.sqrt(GROWN / p[2]));
        }
        for (int i = 0; i < 80; i++) {
          double u = (low + high) / 2;
          if ((1 + u) * (1 - p[3] * Math.log1p(u)) < 1 + GROWN) {
            low = u;
          } else {
            high = u;
          }
        }
        yield OptionalDouble.of(Math.sqrt(low / p[2]));
      }
      case PARABOLA_SCORE -> OptionalDouble.of(Math.sqrt(TENTH) * farthest);
      case INTENSITY_SCORE, INTENSITY_OVER_FLOOR -> {
        double u = p[2] * farthest * farthest;
        double fall = TENTH * u / (1 + u);
        yield OptionalDouble.of(Math.sqrt(fall / (1 - fall) / p[2]));
      }
    };
  }

  private static final double TENTH = 0.1;

  /** A dose that is less over the threshold than this leaves a line that grows from no middle. */
  private static final double MOST_DOSE = 0.9;

  /** A tenth more of a width is this much more of its square. */
  private static final double GROWN = (1 + TENTH) * (1 + TENTH) - 1;
}
