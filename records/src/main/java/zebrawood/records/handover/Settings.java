package zebrawood.records.handover;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.records.handover.HandOverSheet.Hand;
import zebrawood.records.kept.StationPaper;

/**
 * What a device was left with.
 *
 * @param of which entry they are, in words
 * @param since what was read later and differs, in words
 */
record Settings(List<StationPaper.Setting> left, String of, String since) {
  /** A few settings are said in a line. */
  private static final int MOST_NOTED = 2;

  /** More settings that differ are not listed. */
  private static final int MOST_DIFFERENT = 20;

  /** Those that were left; where none were, those that were read last, which the title says. */
  static Settings of(List<Entry> measured, Hand hand) {
    List<Entry> with =
        measured.stream().filter(e -> !hand.content().of(e).paper().settings().isEmpty()).toList();
    if (with.isEmpty()) {
      return new Settings(List.of(), "", "");
    }
    Entry newest = with.getLast();
    Entry of =
        with.reversed().stream()
            .filter(e -> e.kind() == EntryKind.AS_LEFT)
            .findFirst()
            .orElse(newest);
    List<StationPaper.Setting> left = hand.content().of(of).paper().settings();
    String title =
        hand.words()
            .say(
                of.kind() == EntryKind.AS_LEFT ? "paper.settings.left" : "paper.settings.found",
                HandOverSheet.at(Optional.of(of), hand));
    String others =
        hand.content().of(newest).paper().settings().stream()
            .filter(s -> !left.contains(s))
            .limit(MOST_DIFFERENT)
            .map(s -> s.name() + " " + s.value())
            .collect(Collectors.joining(" · "));
    String since =
        others.isEmpty()
            ? ""
            : hand.words().say("paper.settings.since", hand.day(newest.time()), others);
    return new Settings(left, title, since);
  }

  /** One or two of them, to stand beside a title. */
  String note(Hand hand) {
    return left.size() > MOST_NOTED
        ? ""
        : left.stream()
            .map(s -> hand.words().say("words.after", s.name(), s.value()))
            .collect(Collectors.joining(", "));
  }
}
