package zebrawood.jobfile;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/**
 * Writes motion programs as several job programs do, with what they truly do: lines as a list of
 * points, words and speeds, spelled in one of a few ways. Shares nothing with the reader or the
 * stand-in.
 */
public final class WrittenJob {
  /** One thing that is wrong. */
  public enum Fault {
    NONE,
    TOO_FAR,
    TOO_STRONG,
    TRAVELS_BURNING,
    ENDS_BURNING,
    NO_RUN_UP,
    LATE_AIR,
    MORE_THAN_ROUND,
    DARK
  }

  /** A straight way from where the one before ended. */
  private record Way(double x, double y, double word, boolean rapid) {}

  public static final double TRAVEL_X = 600;
  public static final double TRAVEL_Y = 400;
  public static final double TOP = 1000;
  public static final double ACCELERATION = 2500;
  public static final double RAPID = 400;
  public static final double ROUND = 150;

  private final Random random;
  private final Fault fault;
  private final boolean inches;
  private final boolean relative;
  private final boolean spaced;
  private final boolean windows;
  private final List<Way> ways = new ArrayList<>();
  private final double speed;
  private final boolean constant;

  public WrittenJob(long seed, Fault fault) {
    random = new Random(seed);
    this.fault = fault;
    inches = random.nextInt(3) == 0;
    relative = random.nextInt(4) == 0 && fault != Fault.TOO_FAR;
    spaced = random.nextBoolean();
    windows = random.nextInt(3) == 0;
    speed = 60 + random.nextInt(140);
    constant = fault == Fault.TRAVELS_BURNING;
    make();
  }

  private void make() {
    double word = fault == Fault.TOO_STRONG ? TOP + 200 : fault == Fault.DARK ? 0 : 700;
    double w = 60 + random.nextInt(80);
    double h = fault == Fault.MORE_THAN_ROUND ? ROUND + 20 : 20 + random.nextInt(20);
    double x0 = fault == Fault.TOO_FAR ? TRAVEL_X - w / 2 : 100 + random.nextInt(100);
    double y0 = 30 + random.nextInt(20);
    double run = fault == Fault.NO_RUN_UP ? 0 : 1.5 * speed * speed / (2 * ACCELERATION);
    boolean forth = true;
    ways.add(new Way(x0 - run, y0, 0, true));
    for (double y = y0; y < y0 + h; y += 1) {
      double a = forth ? x0 : x0 + w;
      double b = forth ? x0 + w : x0;
      double end = forth ? b + run : b - run;
      ways.add(new Way(forth ? x0 - run : x0 + w + run, y, 0, true));
      if (run > 0) {
        ways.add(new Way(a, y, 0, false));
      }
      ways.add(new Way(b, y, word * (0.6 + 0.4 * random.nextDouble()), false));
      if (run > 0) {
        ways.add(new Way(end, y, 0, false));
      }
      forth = !forth;
    }
    ways.add(new Way(x0, y0, 0, true));
    ways.add(new Way(x0 + 10, y0 + 10, word, false));
  }

  private double shown(double mm) {
    return inches ? mm / 25.4 : mm;
  }

  private void line(StringBuilder out, String words) {
    out.append(spaced ? words : words.replace(" ", "")).append(windows ? "\r\n" : "\n");
  }

  private static String number(String format, double value) {
    return String.format(Locale.ROOT, format, value);
  }

  /** The program. */
  public String text() {
    StringBuilder out = new StringBuilder();
    line(out, "; made up for a test");
    line(out, inches ? "G20" : "G21");
    line(out, relative ? "G91" : "G90");
    if (fault != Fault.LATE_AIR) {
      line(out, "M8");
    }
    line(out, constant ? "M3 S0" : "M4 S0");
    line(out, "F" + number("%.3f", shown(speed) * 60));
    double px = 0;
    double py = 0;
    double last = -1;
    int mode = -1;
    if (relative) {
      // The first way is told from where the head stands.
      line(out, "G0 X0 Y0");
      mode = 0;
    }
    for (Way way : ways) {
      StringBuilder words = new StringBuilder();
      int now = way.rapid ? 0 : 1;
      if (now != mode) {
        words.append("G").append(now).append(' ');
        mode = now;
      }
      words.append("X").append(number("%.6f", shown(relative ? way.x - px : way.x))).append(' ');
      words.append("Y").append(number("%.6f", shown(relative ? way.y - py : way.y))).append(' ');
      double word = constant && way.rapid ? 250 : way.word;
      if (word != last) {
        words.append("S").append(number("%.1f", word));
        last = word;
      }
      line(out, words.toString());
      px = way.x;
      py = way.y;
    }
    if (fault == Fault.LATE_AIR) {
      line(out, "M8");
      line(out, "G1 X" + number("%.4f", shown(relative ? 5 : px + 5)) + " S100");
    }
    line(out, "M9");
    if (fault != Fault.ENDS_BURNING) {
      line(out, "M5");
    }
    line(out, "M2");
    return out.toString();
  }

  private List<Way> burnt() {
    return ways.stream().filter(w -> w.word > 0 || constant && w.rapid).toList();
  }

  /** Length that is burnt, in mm; of jobs that do not burn on their ways and have air in time. */
  public double burntMm() {
    double sum = 0;
    double px = 0;
    double py = 0;
    for (Way way : ways) {
      if (way.word > 0) {
        sum += Math.hypot(way.x - px, way.y - py);
      }
      px = way.x;
      py = way.y;
    }
    return sum;
  }

  /** The largest word with which it burns. */
  public double topWord() {
    return burnt().stream().mapToDouble(Way::word).max().orElse(0);
  }

  /** The farthest places of the head along x, behind its first known one. */
  public double[] movedX() {
    return new double[] {
      ways.stream().mapToDouble(Way::x).min().orElse(0),
      ways.stream().mapToDouble(Way::x).max().orElse(0)
    };
  }

  public boolean isRelative() {
    return relative;
  }

  /** The machine that is to burn it, as far as it is known here. */
  public JobReadings on(JobLook look) {
    return new JobReadings(
        look,
        FileUnit.NOT_SAID,
        java.util.OptionalDouble.of(TRAVEL_X),
        java.util.OptionalDouble.of(TRAVEL_Y),
        JobReadings.Origin.CORNER,
        java.util.OptionalDouble.of(TOP),
        motion(),
        java.util.OptionalDouble.of(ROUND),
        java.util.OptionalDouble.empty(),
        java.util.Optional.empty(),
        java.util.Optional.empty());
  }

  public static Motion motion() {
    return new Motion(
        java.util.OptionalDouble.of(ACCELERATION),
        java.util.OptionalDouble.of(ACCELERATION),
        java.util.OptionalDouble.of(RAPID));
  }

  /** What a look should find; null where nothing is wrong. */
  public static JobProblem.Kind kindOf(Fault fault) {
    return switch (fault) {
      case NONE -> null;
      case TOO_FAR -> JobProblem.Kind.BEYOND_TRAVEL;
      case TOO_STRONG -> JobProblem.Kind.WORD_ABOVE_TOP;
      case TRAVELS_BURNING -> JobProblem.Kind.BEAM_ON_TRAVEL;
      case ENDS_BURNING -> JobProblem.Kind.LEFT_ON;
      case NO_RUN_UP -> JobProblem.Kind.NO_RUN_UP;
      case LATE_AIR -> JobProblem.Kind.LATE_AIR;
      case MORE_THAN_ROUND -> JobProblem.Kind.MORE_THAN_ROUND;
      case DARK -> JobProblem.Kind.NEVER_ON;
    };
  }
}
