package zebrawood.measure;

import java.util.List;
import zebrawood.words.Advice;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * What the core made of readings. Every station's finding is a record with these three at least.
 */
public interface Finding {
  Verdict verdict();

  /** What is to be done, with the amount, in the order to be done. */
  List<Advice> advice();

  /** What to know before trusting or following the advice; possibly empty. */
  List<Message> warnings();

  /** The advice in sentences. */
  default List<String> advice(Phrasebook words) {
    return advice().stream().map(words::sentence).toList();
  }

  /** The warnings in sentences. */
  default List<String> warnings(Phrasebook words) {
    return warnings().stream().map(words::sentence).toList();
  }
}
