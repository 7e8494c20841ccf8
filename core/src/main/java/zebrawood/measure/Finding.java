package zebrawood.measure;

import java.util.List;

/**
 * What the core made of readings. Every station's finding is a record with these three at least.
 */
public interface Finding {
  Verdict verdict();

  /** Imperative sentences with the amount, in the order to be done. */
  List<String> advice();

  /** What to know before trusting or following the advice; possibly empty. */
  List<String> warnings();
}
