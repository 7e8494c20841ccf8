package zebrawood.jobfile;

import java.io.IOException;
import java.io.InputStream;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.LongConsumer;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * Reads a motion program of plain words, one block a line (ISO 6983-1): a letter with a number. A
 * program of hundreds of megabytes goes through a small buffer, and nothing of it is kept but what
 * {@link JobLook} says and a drawing.
 */
public final class JobReader {
  /** Larger files are refused. */
  public static final long MOST_BYTES = 2L << 30;

  private static final int MOST_LINE = 4096;
  private static final int BUFFER = 1 << 16;
  private static final int TOLD_EVERY = 1 << 22;
  private static final int MOST_UNKNOWN = 200;
  private static final int SHOWN_UNKNOWN = 12;
  private static final double SECONDS_A_MINUTE = 60;
  private static final double INCH = 25.4;
  private static final double MOST_MM = 1e7;
  private static final String FILE = "file";

  private final Motion motion;
  private final JobClock clock;
  private final BurntAlong along = new BurntAlong();
  private final JobDrawing drawing = new JobDrawing();
  private final Repeats repeats = new Repeats();
  private final Map<String, Integer> unknown = new HashMap<>();
  private final Set<Double> words = new HashSet<>();
  private final Bounds burnt = new Bounds();
  private final Bounds moved = new Bounds();

  private int line;
  private int moves;
  private boolean sawMm;
  private boolean sawInch;
  private double unit = 1;
  private boolean relative;
  private boolean placeKnown = true;
  private double x;
  private double y;
  private boolean xSaid;
  private boolean ySaid;
  private int mode = -1;
  private double feed;
  private double power;

  /** 0 off, 3 constant, 4 following the speed. */
  private int beam;

  private boolean air;
  private int airOn;
  private boolean burntWithoutAir;
  private double topWord = -1;
  private Optional<Place> topWordAt = Optional.empty();
  private int onRapid;
  private Optional<Place> firstOnRapid = Optional.empty();
  private double burntMm;
  private double rowsMm;
  private int rows;
  private double lastRowY = Double.NaN;
  private double travelMm;
  private double fastestBurn;
  private boolean anyWord;

  /** The line that is read now. */
  private final Block now = new Block();

  /** What was read. */
  public record Read(JobLook look, JobDrawing drawing, BurntAlong along) {}

  private JobReader(Motion motion) {
    this.motion = motion;
    clock = new JobClock(motion);
  }

  /** Smallest rectangle around points. */
  private static final class Bounds {
    private double minX = Double.MAX_VALUE;
    private double minY = Double.MAX_VALUE;
    private double maxX = -Double.MAX_VALUE;
    private double maxY = -Double.MAX_VALUE;

    void add(double px, double py) {
      minX = Math.min(minX, px);
      minY = Math.min(minY, py);
      maxX = Math.max(maxX, px);
      maxY = Math.max(maxY, py);
    }

    Optional<Extent> extent() {
      return minX > maxX ? Optional.empty() : Optional.of(new Extent(minX, minY, maxX, maxY));
    }
  }

  /**
   * Reads a program to its end.
   *
   * @param reached told how many bytes were read; ends the reading by throwing
   * @throws UnusableReading where it is no such program
   */
  public static Read read(String name, InputStream in, Motion motion, LongConsumer reached)
      throws IOException {
    JobReader reader = new JobReader(motion);
    reader.readAll(in, reached);
    return new Read(reader.look(name), reader.drawing, reader.along);
  }

  private void readAll(InputStream in, LongConsumer reached) throws IOException {
    byte[] buffer = new byte[BUFFER];
    byte[] text = new byte[MOST_LINE];
    int length = 0;
    byte before = 0;
    long bytes = 0;
    long told = TOLD_EVERY;
    for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
      for (int i = 0; i < n; i++) {
        byte b = buffer[i];
        if (b == '\n' && before == '\r') {
          before = b; // one end of a line, of two signs
          continue;
        }
        before = b;
        if (b == '\n' || b == '\r') {
          line++;
          block(text, length);
          length = 0;
        } else if (b == 0 || length == MOST_LINE) {
          throw refused(b == 0 ? "jobfile.binary" : "jobfile.long-line", line + 1);
        } else {
          text[length++] = b;
        }
      }
      bytes += n;
      if (bytes > MOST_BYTES) {
        throw refused("jobfile.large", MOST_BYTES);
      }
      if (bytes >= told) {
        reached.accept(bytes);
        told += TOLD_EVERY;
      }
    }
    if (length > 0) {
      line++;
      block(text, length);
    }
    clock.stop();
    if (!anyWord || moves == 0) {
      throw refused("jobfile.nothing", line);
    }
  }

  private static UnusableReading refused(String why, long number) {
    return UnusableReading.of(FILE, Message.of(why, number), Message.of("jobfile.accepted"));
  }

  /** One line, without its end. */
  private void block(byte[] text, int length) {
    if (now.read(text, length, this::count)) {
      anyWord |= now.saysSomething();
      run();
    }
  }

  private void count(String word) {
    if (unknown.size() < MOST_UNKNOWN || unknown.containsKey(word)) {
      unknown.merge(word, 1, Integer::sum);
    }
  }

  /** Does what a line says, in the order of ISO 6983: speed and power first, then motion. */
  private void run() {
    if (now.has('S')) {
      power = now.value('S');
    }
    boolean dwell = false;
    boolean noPlace = false;
    for (int i = 0; i < now.codes(); i++) {
      int code = now.code(i);
      switch (code) {
        case 0, 10, 20, 30 -> mode = code / 10;
        case 40 -> dwell = true;
        case 200 -> {
          sawInch = true;
          unit = INCH;
        }
        case 210 -> {
          sawMm = true;
          unit = 1;
        }
        case 900 -> relative = false;
        case 910 -> {
          relative = true;
          placeKnown = false;
        }
        case 920, 100 -> {
          placeKnown = false; // the origin is elsewhere from here on
          noPlace = true;
        }
        case 280, 300 -> {
          // The head goes where only the machine knows.
          noPlace = true;
          xSaid = false;
          ySaid = false;
          clock.stop();
        }
        case 530, 550, 560, 570, 580, 590 -> placeKnown = false;
        case 170, 400, 490, 540, 610, 640, 800, 921, 940 -> {}
        case Block.M + 30 -> beam = 3;
        case Block.M + 40 -> beam = 4;
        case Block.M + 50 -> beam = 0;
        case Block.M + 70, Block.M + 80 -> {
          air = true;
          airOn++;
        }
        case Block.M + 90 -> air = false;
        case Block.M, Block.M + 10, Block.M + 20, Block.M + 300 -> clock.stop();
        default -> count(code >= Block.M ? "M" + plain(code - Block.M) : "G" + plain(code));
      }
    }
    if (now.has('F')) {
      feed = now.value('F') * unit / SECONDS_A_MINUTE;
    }
    if (dwell) {
      clock.pause(now.has('P') ? now.value('P') : 0);
    } else if (!noPlace && (now.has('X') || now.has('Y'))) {
      motion();
    }
  }

  private static String plain(int tenths) {
    return tenths % 10 == 0 ? String.valueOf(tenths / 10) : String.valueOf(tenths / 10.0);
  }

  private void motion() {
    double toX = now.has('X') ? (relative ? x : 0) + now.value('X') * unit : x;
    double toY = now.has('Y') ? (relative ? y : 0) + now.value('Y') * unit : y;
    if (Math.abs(toX) > MOST_MM || Math.abs(toY) > MOST_MM) {
      throw refused("jobfile.far", line);
    }
    boolean known = (xSaid || relative) && (ySaid || relative);
    xSaid |= now.has('X');
    ySaid |= now.has('Y');
    moves++;
    boolean rapid = mode <= 0;
    boolean on = beam != 0 && power > 0 && (!rapid || beam == 3);
    if (known) {
      if (mode == 2 || mode == 3) {
        arc(toX, toY, on);
      } else {
        straight(toX, toY, on, rapid);
      }
    } else {
      // Where it starts from is known to the machine alone.
      moved.add(toX, toY);
    }
    x = toX;
    y = toY;
  }

  private void straight(double toX, double toY, boolean on, boolean rapid) {
    double dx = toX - x;
    double dy = toY - y;
    double length = Math.hypot(dx, dy);
    moved.add(x, y);
    moved.add(toX, toY);
    clock.move(dx, dy, rapid ? motion.rapidMmS().orElse(0) : feed);
    if (rapid && on && length > 0) {
      if (onRapid++ == 0) {
        firstOnRapid = Optional.of(new Place(line, x, y));
      }
    }
    if (on && !rapid) {
      burn(x, y, toX, toY, length);
      if (Math.abs(dy) < 1e-6) {
        rowsMm += length;
        rows += y == lastRowY ? 0 : 1;
        lastRowY = y;
      }
    } else {
      travelMm += length;
    }
    drawing.add(x, y, toX, toY, on);
  }

  private void burn(double x0, double y0, double x1, double y1, double length) {
    burnt.add(x0, y0);
    burnt.add(x1, y1);
    along.add(x0, y0, x1, y1);
    burntMm += length;
    burntWithoutAir |= !air;
    fastestBurn = Math.max(fastestBurn, feed);
    repeats.add(x0, y0, x1, y1);
    if (words.size() < JobLook.MOST_WORDS) {
      words.add(power);
    }
    if (power > topWord) {
      topWord = power;
      topWordAt = Optional.of(new Place(line, x1, y1));
    }
  }

  /** An arc by its middle or its radius, drawn and bounded by short straight lines. */
  private void arc(double toX, double toY, boolean on) {
    double middleX;
    double middleY;
    if (now.has('R')) {
      double r = now.value('R') * unit;
      double dx = toX - x;
      double dy = toY - y;
      double chord = Math.hypot(dx, dy);
      double height = Math.sqrt(Math.max(0, r * r - chord * chord / 4));
      double side = (mode == 2) == (r > 0) ? 1 : -1;
      middleX = x + dx / 2 + side * height * dy / Math.max(chord, 1e-12);
      middleY = y + dy / 2 - side * height * dx / Math.max(chord, 1e-12);
    } else {
      middleX = x + (now.has('I') ? now.value('I') * unit : 0);
      middleY = y + (now.has('J') ? now.value('J') * unit : 0);
    }
    double radius = Math.hypot(x - middleX, y - middleY);
    double from = Math.atan2(y - middleY, x - middleX);
    double to = Math.atan2(toY - middleY, toX - middleX);
    double turn = mode == 2 ? from - to : to - from;
    if (turn <= 1e-9) {
      turn += 2 * Math.PI;
    }
    int parts = Math.clamp((int) Math.ceil(turn / ARC_STEP), 1, MOST_PARTS);
    double lastX = x;
    double lastY = y;
    for (int k = 1; k <= parts; k++) {
      double angle = from + (mode == 2 ? -1 : 1) * turn * k / parts;
      double px = k == parts ? toX : middleX + radius * Math.cos(angle);
      double py = k == parts ? toY : middleY + radius * Math.sin(angle);
      x = lastX;
      y = lastY;
      straight(px, py, on, false);
      lastX = px;
      lastY = py;
    }
  }

  private static final double ARC_STEP = Math.toRadians(4);
  private static final int MOST_PARTS = 100;

  private JobLook look(String name) {
    FileUnit of =
        sawMm && sawInch
            ? FileUnit.BOTH
            : sawInch ? FileUnit.INCH : sawMm ? FileUnit.MM : FileUnit.NOT_SAID;
    List<JobLook.Unknown> others =
        unknown.entrySet().stream()
            .map(e -> new JobLook.Unknown(e.getKey(), e.getValue()))
            .sorted(
                Comparator.comparingInt(JobLook.Unknown::count)
                    .reversed()
                    .thenComparing(JobLook.Unknown::word))
            .limit(SHOWN_UNKNOWN)
            .toList();
    return new JobLook(
        name,
        line,
        moves,
        of,
        burnt.extent(),
        moved.extent(),
        placeKnown,
        topWord < 0 ? OptionalDouble.empty() : OptionalDouble.of(topWord),
        topWordAt,
        words.size(),
        onRapid,
        firstOnRapid,
        beam != 0 && power > 0,
        airOn,
        burntWithoutAir,
        repeats.usual(),
        burntMm,
        rowsMm,
        rows,
        travelMm,
        fastestBurn,
        clock.seconds(),
        clock.secondsAtSpeed(),
        others);
  }
}
