package zebrawood.desktop.station;

import zebrawood.words.Message;

/**
 * One thing that was compared, in plain words.
 *
 * @param why what it does, or what it was compared with
 * @param is what it is; empty where it was not read
 * @param shouldBe what it should be; empty where it is so, or nobody can tell
 */
public record AuditRow(Mark mark, Message name, Message why, Message is, Message shouldBe) {
  /** How it stands, by shape first. */
  public enum Mark {
    FITS,
    WRONG,
    CHANGED,
    NOT_KNOWN
  }
}
