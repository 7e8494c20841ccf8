package zebrawood;

import java.util.List;
import zebrawood.words.Advice;
import zebrawood.words.Phrasebook;

/** What a part of a finding says, in English sentences, for assertions. */
public final class Said {
  private Said() {}

  public static List<String> by(List<Advice> advice) {
    return advice.stream().map(Phrasebook.ENGLISH::sentence).toList();
  }
}
