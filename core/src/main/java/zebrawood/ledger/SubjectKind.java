package zebrawood.ledger;

/** What a station's readings may be of, where a machine has several. */
public enum SubjectKind {
  LENS,
  CONFIGURATION,
  CAMERA,
  STOCK,
  /** What a rotary holds, with how it holds it. */
  WORK
}
