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
    // What an earlier version recorded is worked out anew: no more of it than is printed.
    if (measured.isEmpty() || settingsOf(measured.getLast(), hand).isEmpty()) {
      return new Settings(List.of(), "", "");
    }
    Entry newest = measured.getLast();
    Entry of =
        measured.reversed().stream()
            .filter(e -> e.kind() == EntryKind.AS_LEFT)
            .filter(e -> !settingsOf(e, hand).isEmpty())
            .findFirst()
            .orElse(newest);
    List<StationPaper.Setting> left = settingsOf(of, hand);
    String title =
        hand.words()
            .say(
                of.kind() == EntryKind.AS_LEFT ? "paper.settings.left" : "paper.settings.found",
                HandOverSheet.at(Optional.of(of), hand));
    String others =
        settingsOf(newest, hand).stream()
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

  private static List<StationPaper.Setting> settingsOf(Entry entry, Hand hand) {
    return hand.content().of(entry).paper().settings();
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
