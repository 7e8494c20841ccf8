package zebrawood.marks;

/** What a mark looks like. */
public enum MarkKind {
  CROSS,
  DOT
}
