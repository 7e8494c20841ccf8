package zebrawood.benchmarks;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import javax.imageio.ImageIO;
import zebrawood.measure.DrawnPicture;
import zebrawood.measure.Picture;
import zebrawood.measure.UnusableReading;

/** What was read of pictures of one kind: how much of it, how well, and at what cost. */
final class PictureScore {
  final List<Double> errors = new ArrayList<>();
  final List<Double> plain = new ArrayList<>();
  private final List<Double> millis = new ArrayList<>();
  private final List<Double> decodings = new ArrayList<>();
  private double mostMb;
  int marks;
  int wrong;
  int refused;
  private int within;
  private int told;

  /** Whether a figure was right within two of its deviations. */
  void told(double off, double uncertainty) {
    within += Math.abs(off) <= 2 * uncertainty ? 1 : 0;
    told++;
  }

  static void heading() {
    line(
        "kind, pictures",
        "marks",
        "found",
        "wrong",
        "refused",
        "median",
        "99 %",
        "within 2 u",
        "plain",
        "99 %",
        "ms",
        "most",
        "decodings",
        "most",
        "MB");
  }

  private static void line(Object... cells) {
    StringBuilder out = new StringBuilder();
    for (Object cell : cells) {
      String said =
          cell instanceof Double d ? String.format(Locale.ROOT, "%.3f", d) : String.valueOf(cell);
      out.append(String.format("%-" + (out.isEmpty() ? 28 : 11) + "s", said));
    }
    System.out.println(out);
  }

  static double at(List<Double> all, double share) {
    double[] sorted = all.stream().mapToDouble(d -> d).sorted().toArray();
    return sorted.length == 0 ? Double.NaN : sorted[(int) (share * (sorted.length - 1))];
  }

  void say(String kind, int count) {
    line(
        kind + ", " + count,
        marks,
        errors.size(),
        wrong,
        refused,
        at(errors, 0.5),
        at(errors, 0.99),
        String.format(Locale.ROOT, "%.3f", (double) within / told),
        at(plain, 0.5),
        at(plain, 0.99),
        Math.round(at(millis, 0.5)),
        Math.round(at(millis, 1)),
        String.format(Locale.ROOT, "%.1f", at(decodings, 0.5)),
        String.format(Locale.ROOT, "%.1f", at(decodings, 1)),
        Math.round(mostMb));
  }

  /** What reading comes to, with its time beside that of decoding, and the heap at its most. */
  <T> Optional<T> timed(Picture picture, Supplier<T> reading) {
    byte[] file = DrawnPicture.coded(((DrawnPicture) picture).image(), 92);
    double decoding = Double.MAX_VALUE;
    for (int round = 0; round < 3; round++) {
      long from = System.nanoTime();
      try {
        ImageIO.read(new ByteArrayInputStream(file));
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
      decoding = Math.min(decoding, (System.nanoTime() - from) / 1e6);
    }
    System.gc();
    List<MemoryPoolMXBean> pools =
        ManagementFactory.getMemoryPoolMXBeans().stream()
            .filter(p -> p.getType() == MemoryType.HEAP)
            .toList();
    pools.forEach(MemoryPoolMXBean::resetPeakUsage);
    long start = System.nanoTime();
    Optional<T> read;
    try {
      read = Optional.of(reading.get());
    } catch (UnusableReading e) {
      read = Optional.empty();
    }
    double took = (System.nanoTime() - start) / 1e6;
    millis.add(took);
    decodings.add(took / decoding);
    mostMb =
        Math.max(mostMb, pools.stream().mapToLong(p -> p.getPeakUsage().getUsed()).sum() / 1e6);
    return read;
  }
}
