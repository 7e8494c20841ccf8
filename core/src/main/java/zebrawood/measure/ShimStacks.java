package zebrawood.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * Which of the thicknesses at hand make up a shim? Any number of each is taken to be there: washers
 * and card come in packets.
 *
 * <p>Among the stacks that come near enough, the one of fewest pieces is chosen; among those, the
 * nearest. Where none comes near enough, the nearest. Thicknesses are counted in hundredths of a
 * millimetre, finer than card or washers are made; the fewest pieces for every sum are found step
 * by step upwards (Cormen et al., Introduction to Algorithms, chapter on dynamic programming).
 */
public final class ShimStacks {
  private static final int STEPS_PER_MM = 100;

  private static final int UNREACHABLE = Integer.MAX_VALUE;

  /** Above this a shim is a block, and is made, not stacked. */
  public static final double THICKEST_MM = 50;

  private final int[] steps;
  private final double nearEnoughMm;

  /**
   * @param thicknessesMm each more than 0.01 and at most 20 mm
   * @param nearEnoughMm how far from the wanted thickness a stack may be
   */
  public ShimStacks(List<Double> thicknessesMm, double nearEnoughMm) {
    var accepts = new Accepts().atLeast("thicknesses", thicknessesMm, 1, "measure.count.thickness");
    for (double thickness : thicknessesMm) {
      accepts.between("thicknesses", thickness, 0.01, 20);
    }
    accepts.orThrow();
    this.steps =
        thicknessesMm.stream()
            .mapToInt(t -> (int) Math.round(t * STEPS_PER_MM))
            .distinct()
            .sorted()
            .toArray();
    this.nearEnoughMm = nearEnoughMm;
  }

  /**
   * A stack of shims.
   *
   * @param piecesMm thickest first, possibly empty
   */
  public record Stack(List<Double> piecesMm) {
    public Stack {
      piecesMm = List.copyOf(piecesMm);
    }

    public double totalMm() {
      return piecesMm.stream().mapToDouble(d -> d).sum();
    }

    /** Such as "0.5 + 2 × 0.1 mm". */
    public Message said() {
      if (piecesMm.isEmpty()) {
        return Message.of("measure.stack.nothing");
      }
      List<Double> kinds = piecesMm.stream().distinct().toList();
      Message sum = pieces(kinds.getFirst(), kinds.size() == 1);
      for (int i = 1; i < kinds.size(); i++) {
        sum = Message.of("measure.stack.plus", sum, pieces(kinds.get(i), i + 1 == kinds.size()));
      }
      return sum;
    }

    /** The unit stands behind the last ones only. */
    private Message pieces(Double mm, boolean last) {
      long count = piecesMm.stream().filter(mm::equals).count();
      Amount each = Amount.plain(mm, Quantity.LENGTH);
      Message shown = last ? Message.of("measure.stack.one", each) : Message.bare(each);
      return count > 1 ? Message.of("measure.stack.times", count, shown) : shown;
    }
  }

  /** The stack for a wanted thickness from 0 to 50 mm. */
  public Stack stackFor(double wantedMm) {
    new Accepts().between("thicknessMm", wantedMm, 0, THICKEST_MM).orThrow();
    int most = (int) Math.ceil(wantedMm * STEPS_PER_MM) + steps[steps.length - 1];
    int[] pieces = new int[most + 1];
    int[] last = new int[most + 1];
    Arrays.fill(pieces, UNREACHABLE);
    pieces[0] = 0;
    for (int sum = 1; sum <= most; sum++) {
      for (int step : steps) {
        if (step <= sum
            && pieces[sum - step] != UNREACHABLE
            && pieces[sum - step] + 1 < pieces[sum]) {
          pieces[sum] = pieces[sum - step] + 1;
          last[sum] = step;
        }
      }
    }
    int best = 0;
    for (int sum = 1; sum <= most; sum++) {
      if (pieces[sum] != UNREACHABLE && better(sum, best, pieces, wantedMm)) {
        best = sum;
      }
    }
    List<Double> stack = new ArrayList<>();
    for (int sum = best; sum > 0; sum -= last[sum]) {
      stack.add(last[sum] / (double) STEPS_PER_MM);
    }
    stack.sort((a, b) -> Double.compare(b, a));
    return new Stack(stack);
  }

  private boolean better(int sum, int best, int[] pieces, double wantedMm) {
    double miss = Math.abs(sum / (double) STEPS_PER_MM - wantedMm);
    double bestMiss = Math.abs(best / (double) STEPS_PER_MM - wantedMm);
    boolean near = miss <= nearEnoughMm;
    boolean bestNear = bestMiss <= nearEnoughMm;
    if (near && bestNear && pieces[sum] != pieces[best]) {
      return pieces[sum] < pieces[best];
    }
    return miss < bestMiss;
  }
}
