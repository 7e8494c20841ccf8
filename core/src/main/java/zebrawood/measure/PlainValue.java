package zebrawood.measure;

/** A value that stands in documents as what it holds: nothing, a number, a text, or a list. */
public interface PlainValue {
  /** Null, a {@link Double}, a {@link String}, or a list of these. */
  Object plainValue();
}
