package zebrawood.devices.controller;

import zebrawood.controller.WireSyntax;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/** Why the controller did not do what it was asked. */
public final class LinkTrouble extends Exception {
  private static final long serialVersionUID = 1L;

  /** What kind of trouble; what is known of the controller afterwards depends on it. */
  public enum Kind {
    /** The cable is out or the port is gone. */
    LOST,
    /** Nothing came within the bound. */
    SILENT,
    /** It answered that it will not. */
    REJECTED,
    /** It stands in alarm. */
    ALARM,
    /** What came was no answer, or differed from reading to reading. */
    GARBLED,
    /** It is running a job. */
    BUSY,
    /** Somebody cancelled. */
    CANCELLED
  }

  private final Kind kind;
  private final transient Message said;

  public LinkTrouble(Kind kind, Message said) {
    super(Phrasebook.ENGLISH.say(said));
    this.said = said;
    this.kind = kind;
  }

  /** A sentence. */
  public Message said() {
    return said;
  }

  public Kind kind() {
    return kind;
  }

  /** What the controller answered, with what its manual says that it means. */
  static Message answered(WireSyntax.RefusalText meant, String line) {
    return meant.meaning().isBlank()
        ? Message.quoted(line)
        : Message.of(
            "controller.trouble.answered", Message.quoted(meant.meaning()), Message.quoted(line));
  }
}
