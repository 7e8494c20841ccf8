package zebrawood.desktop.text;

import java.time.ZoneId;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.stream.Collectors;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Standing;
import zebrawood.ledger.StandingWords;
import zebrawood.ledger.Station;

/** Of which lens, configuration or the like a station's figures are, in words. */
public final class SubjectWords {
  private SubjectWords() {}

  /** A station's name, with what is on the machine now. */
  public static String title(Ledger ledger, Station station) {
    String title = Text.of(station.title());
    return ledger.subjectInShort(station).map(s -> Text.of("subject.of", title, s)).orElse(title);
  }

  /** What is on the machine, and how the others that are on file stand. */
  public static String line(
      Station station,
      Optional<String> subject,
      SequencedMap<String, Standing> onFile,
      ZoneId zone) {
    if (station.subject().isEmpty()) {
      return "";
    }
    String now =
        subject
            .map(s -> Text.of("subject.now", station.subject().get(), s))
            .orElseGet(() -> Text.of("subject.not-named", station.subject().get()));
    String others =
        onFile.entrySet().stream()
            .map(e -> Text.of("subject.standing", e.getKey(), StandingWords.of(e.getValue(), zone)))
            .collect(Collectors.joining("; "));
    return others.isEmpty() ? now : Text.of("subject.others", now, others);
  }
}
