package zebrawood.station;

import java.util.List;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * What was answered to one thing that is proven by hand and eye.
 *
 * @param passed whether it was so
 */
public record Proof<I extends Enum<I>>(I item, boolean passed) {
  /** Complains where one thing was answered twice. */
  public static <I extends Enum<I>> void eachOnce(
      String field, List<Proof<I>> proofs, Accepts accepts) {
    if (proofs.stream().map(Proof::item).distinct().count() < proofs.size()) {
      accepts.complain(
          field, Message.of("accepts.item-twice"), Message.of("accepts.each-item-once"));
    }
  }
}
