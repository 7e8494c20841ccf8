package zebrawood.focus;

/**
 * A symmetric law of width or score against the height t above the focus; {@code p[0]} is where the
 * focus is, and no part of these.
 */
enum Law {
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
  /** A score that follows the beam's intensity on its axis, {@code s = p1 / (1 + p2 t^2)}. */
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

  /** Squares below this are a width of nothing: a step of the fit went too far. */
  private static final double NOTHING = 1e-10;

  final int parameters;

  Law(int parameters) {
    this.parameters = parameters;
  }

  private static double root(double square) {
    return Math.sqrt(Math.max(square, NOTHING));
  }

  abstract double value(double[] p, double t);

  /** The derivatives by every parameter, the place first. */
  abstract void slopes(double[] p, double t, double[] row);

  /** Whether the law falls off from its middle as far as the readings reach. */
  boolean opens(double[] p, double farthest) {
    return switch (this) {
      case GAUSSIAN_WIDTH -> p[1] > 0 && p[2] > 0;
      case HIGHER_WIDTH ->
          p[1] > 0 && p[2] > 0 && p[2] + 2 * p[3] * farthest * farthest > 0;
      case PARABOLA_SCORE -> p[2] > 0;
      case INTENSITY_SCORE, INTENSITY_OVER_FLOOR -> p[1] > 0 && p[2] > 0;
    };
  }

  /**
   * How far from the middle a width has grown, or a score has fallen, by a tenth; in the unit of t.
   * Of a score whose best is not above 0 a tenth says nothing: infinite.
   */
  double halfDepth(double[] p) {
    return switch (this) {
      case GAUSSIAN_WIDTH -> Math.sqrt(GROWN * p[1] / p[2]);
      case HIGHER_WIDTH -> {
        double b = p[2];
        double more = GROWN * p[1];
        // p3 t^4 + b t^2 = more, written so that p3 may be nothing.
        double under = b * b + 4 * p[3] * more;
        yield under < 0 ? Double.POSITIVE_INFINITY : Math.sqrt(2 * more / (b + Math.sqrt(under)));
      }
      case PARABOLA_SCORE ->
          p[1] > 0 ? Math.sqrt(TENTH * p[1] / p[2]) : Double.POSITIVE_INFINITY;
      case INTENSITY_SCORE -> Math.sqrt(TENTH / (1 - TENTH) / p[2]);
      case INTENSITY_OVER_FLOOR -> {
        double fall = TENTH * (p[1] + p[3]);
        yield fall > 0 && fall < p[1]
            ? Math.sqrt(fall / (p[1] - fall) / p[2])
            : Double.POSITIVE_INFINITY;
      }
    };
  }

  private static final double TENTH = 0.1;

  /** A tenth more of a width is this much more of its square. */
  private static final double GROWN = (1 + TENTH) * (1 + TENTH) - 1;
}
