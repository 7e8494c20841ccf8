package zebrawood.site;

/**
 * Maximum permissible exposure of the cornea to a point source: IEC 60825-1:2014, annex A, tables
 * A.1 and A.6, with C5 of 4.3 f. From 180 nm to 1 mm and from 100 fs to 30 000 s.
 *
 * <p>Extended sources, for which the standard allows more, are not treated: a beam looked into is a
 * point source.
 */
final class PermissibleExposure {
  static final double SHORTEST_S = 1e-13;
  static final double LONGEST_S = 30_000;

  /** T2 of a point source. */
  static final double POINT_SOURCE_T2_S = 10;

  private PermissibleExposure() {}

  static double irradianceWPerM2(double nm, double seconds) {
    return radiantExposureJPerM2(nm, seconds) / seconds;
  }

  static double radiantExposureJPerM2(double nm, double t) {
    if (nm < 400) {
      return ultraviolet(nm, t);
    }
    return nm < 1400 ? retina(nm, t) : infrared(nm, t);
  }

  private static double ultraviolet(double nm, double t) {
    if (t < 1e-9) {
      return 3e10 * t;
    }
    double c1 = 5.6e3 * Math.pow(t, 0.25);
    if (nm < 302.5) {
      return 30;
    }
    if (nm < 315) {
      double t1 = Math.pow(10, 0.8 * (nm - 295)) * 1e-15;
      double c2 = Math.pow(10, 0.2 * (nm - 295));
      return t <= t1 ? Math.min(c1, c2) : c2;
    }
    if (t <= 10) {
      return c1;
    }
    return t < 1000 ? 1e4 : 10 * t;
  }

  private static double retina(double nm, double t) {
    double thermal = nm < 1050 ? visibleThermal(c4(nm), t) : nearInfraredThermal(c7(nm), t);
    if (nm >= 600 || t < 10) {
      return thermal;
    }
    double c3 = nm < 450 ? 1 : Math.pow(10, 0.02 * (nm - 450));
    double photochemical = t < 100 ? 100 * c3 : c3 * t;
    return Math.min(thermal, photochemical);
  }

  private static double visibleThermal(double c4, double t) {
    if (t < 1e-11) {
      return 1e-3 * c4;
    }
    if (t < 5e-6) {
      return 2e-3 * c4;
    }
    return t < 10 ? 18 * c4 * Math.pow(t, 0.75) : 10 * c4 * t;
  }

  private static double nearInfraredThermal(double c7, double t) {
    if (t < 1e-11) {
      return 1e-2 * c7;
    }
    if (t < 1.3e-5) {
      return 2e-2 * c7;
    }
    return t < 10 ? 90 * c7 * Math.pow(t, 0.75) : 50 * c7 * t;
  }

  private static double infrared(double nm, double t) {
    if (t >= 10) {
      return 1000 * t;
    }
    double c1 = 5.6e3 * Math.pow(t, 0.25);
    if (nm >= 1500 && nm < 1800) {
      return t < 1e-9 ? 1e13 * t : 1e4;
    }
    if (nm < 2600) {
      return t < 1e-9 ? 1e12 * t : t < 1e-3 ? 1e3 : c1;
    }
    return t < 1e-9 ? 1e11 * t : t < 1e-7 ? 100 : c1;
  }

  private static double c4(double nm) {
    return nm < 700 ? 1 : Math.pow(10, 0.002 * (nm - 700));
  }

  private static double c7(double nm) {
    if (nm < 1150) {
      return 1;
    }
    return nm < 1200 ? Math.pow(10, 0.018 * (nm - 1150)) : 8 + Math.pow(10, 0.04 * (nm - 1250));
  }

  /** The aperture over which irradiance is averaged, for the eye. */
  static double apertureMm(double nm, double t) {
    if (nm < 400) {
      return 1;
    }
    if (nm < 1400) {
      return 7;
    }
    if (nm >= 100_000) {
      return 11;
    }
    return t <= 0.35 ? 1 : t < 10 ? 1.5 * Math.pow(t, 0.375) : 3.5;
  }

  /** Whether the retina is what is at risk. */
  static boolean retinal(double nm) {
    return nm >= 400 && nm < 1400;
  }

  /** Ti: pulses within it count as one. */
  static double togetherS(double nm) {
    return nm < 1050 ? 5e-6 : 1.3e-5;
  }

  /** C5 for pulses no longer than Ti. */
  static double trainFactor(double pulses, double exposureS) {
    return exposureS <= 0.25 || pulses <= 600 ? 1 : Math.max(0.4, 5 * Math.pow(pulses, -0.25));
  }
}
