package zebrawood.devices.controller;

import java.io.IOException;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/** Why a port cannot be used, in words for whoever stands at the machine. */
public final class PortTrouble extends IOException {
  private static final long serialVersionUID = 1L;

  private final transient Message said;

  PortTrouble(Message said) {
    super(Phrasebook.ENGLISH.say(said));
    this.said = said;
  }

  PortTrouble(Message said, Throwable cause) {
    super(Phrasebook.ENGLISH.say(said), cause);
    this.said = said;
  }

  /** What is said of any failure; one without words of its own is quoted. */
  public static Message said(Throwable trouble) {
    return trouble instanceof PortTrouble own
        ? own.said
        : Message.quoted(String.valueOf(trouble.getMessage()));
  }
}
