package zebrawood.devices.jobfile;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import zebrawood.jobfile.JobProblem.Kind;

/**
 * A sign as job software exports it: an engraved field in rows and a cut line around it, with one
 * thing wrong, sometimes two. Mended as the job software would mend it, it is exported anew.
 */
public final class StandInJob {
  /** What can be wrong with it. */
  public static final List<Kind> CAN_BE_WRONG =
      List.of(
          Kind.BEYOND_TRAVEL,
          Kind.WORD_ABOVE_TOP,
          Kind.BEAM_ON_TRAVEL,
          Kind.LEFT_ON,
          Kind.NO_RUN_UP,
          Kind.LATE_AIR);

  private static final double ROWS_MM = 0.5;
  private static final double ROW_SPEED_MM_S = 200;
  private static final double RUN_UP_MM = 12;
  private static final int SECONDS = 60;

  private final double travelX;
  private final double travelY;
  private final double top;
  private final double widthMm;
  private final double depthMm;
  private final EnumSet<Kind> wrong = EnumSet.noneOf(Kind.class);

  /**
   * @param travelXMm of the machine, {@code topWord} of its controller
   */
  public StandInJob(long number, double travelXMm, double travelYMm, double topWord) {
    Random random = new Random(number);
    travelX = travelXMm;
    travelY = travelYMm;
    top = topWord;
    widthMm = 40 + random.nextInt(60);
    depthMm = 15 + random.nextInt(20);
    wrong.add(CAN_BE_WRONG.get(random.nextInt(CAN_BE_WRONG.size())));
    if (random.nextInt(3) == 0) {
      wrong.add(CAN_BE_WRONG.get(random.nextInt(CAN_BE_WRONG.size())));
    }
  }

  /** What is wrong with it. */
  public Set<Kind> wrong() {
    return Set.copyOf(wrong);
  }

  public void mend(Kind kind) {
    wrong.remove(kind);
  }

  private boolean has(Kind kind) {
    return wrong.contains(kind);
  }

  /** The program. */
  public String text() {
    StringBuilder out = new StringBuilder();
    double x0 = has(Kind.BEYOND_TRAVEL) ? travelX - widthMm / 2 : travelX / 4;
    double y0 = travelY / 4;
    double runUp = has(Kind.NO_RUN_UP) ? 0 : RUN_UP_MM;
    double engrave = has(Kind.WORD_ABOVE_TOP) ? 1.5 * top : 0.4 * top;
    say(out, "; a sign%nG21%nG90%n%s", has(Kind.LATE_AIR) ? "" : "M8\n");
    say(out, has(Kind.BEAM_ON_TRAVEL) ? "M3 S%d%n" : "M4 S0%n", Math.round(0.3 * top));
    say(out, "G0 X%.3f Y%.3f%n", x0 - runUp, y0);
    say(out, "F%.0f%n", ROW_SPEED_MM_S * SECONDS);
    boolean right = true;
    for (double y = y0; y <= y0 + depthMm; y += ROWS_MM) {
      double from = right ? x0 : x0 + widthMm;
      double to = right ? x0 + widthMm : x0;
      double past = right ? to + runUp : to - runUp;
      say(out, "G0 Y%.3f%n", y);
      say(out, "G1 X%.3f S0%n", from);
      say(out, "G1 X%.3f S%d%n", to, Math.round(engrave));
      say(out, "G1 X%.3f S0%n", past);
      right = !right;
    }
    if (has(Kind.LATE_AIR)) {
      say(out, "M8%n");
    }
    // The line around it is cut a little outside.
    double left = x0 - 2;
    say(
        out,
        "G0 X%.3f Y%.3f S%d%nG1 F600%n",
        left,
        y0 - 2,
        has(Kind.BEAM_ON_TRAVEL) ? Math.round(0.5 * top) : 0);
    double[][] corners = {
      {x0 + widthMm + 2, y0 - 2},
      {x0 + widthMm + 2, y0 + depthMm + 2},
      {left, y0 + depthMm + 2},
      {left, y0 - 2}
    };
    for (double[] corner : corners) {
      say(out, "G1 X%.3f Y%.3f S%d%n", corner[0], corner[1], Math.round(0.8 * top));
    }
    say(out, has(Kind.LEFT_ON) ? "M9%nM2%n" : "M9%nM5%nM2%n");
    return out.toString();
  }

  private static void say(StringBuilder out, String format, Object... values) {
    out.append(String.format(Locale.ROOT, format, values));
  }
}
