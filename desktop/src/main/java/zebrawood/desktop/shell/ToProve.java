package zebrawood.desktop.shell;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.desktop.text.SubjectWords;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.ledger.FigureWords;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Standing;
import zebrawood.ledger.StandingWords;
import zebrawood.ledger.Station;
import zebrawood.records.kept.KeptFindings;

/** A station that does not hold: what is to be done there, and why. */
record ToProve(Station station, Standing standing) {
  /** All that do not hold, in the order of the work. */
  static List<ToProve> of(Map<Station, Standing> standings) {
    return standings.entrySet().stream()
        .filter(e -> e.getValue().asks())
        .map(e -> new ToProve(e.getKey(), e.getValue()))
        .toList();
  }

  static int minutes(List<ToProve> all) {
    return all.stream().mapToInt(p -> p.station().minutes()).sum();
  }

  String words(Ledger ledger) {
    return Text.of(key(), SubjectWords.title(ledger, station));
  }

  private String key() {
    return switch (standing) {
      case Standing.Holds h -> throw new IllegalArgumentException("nothing to prove");
      case Standing.Idle i -> throw new IllegalArgumentException("nothing to prove");
      case Standing.Stale(var proof, Standing.Cause.Happened(var event, Doubt doubt))
          when doubt == Doubt.QUICK_CHECK ->
          "prove.do.check";
      case Standing.Stale(var proof, Standing.Cause.CameDue d) -> "prove.do.due";
      case Standing.Stale s -> "prove.do.stale";
      case Standing.Out o -> "prove.do.out";
      case Standing.Open o -> "prove.do.open";
    };
  }

  String because() {
    return switch (standing) {
      case Standing.Holds h -> "";
      case Standing.Idle i -> "";
      case Standing.Stale(Entry proof, Standing.Cause.CameDue d) ->
          Text.of(StandingWords.because(d));
      case Standing.Stale(Entry proof, Standing.Cause cause) ->
          proof
              .tellingFigure()
              .map(f -> Text.of("prove.stale", StandingWords.because(cause), figure(proof, f)))
              .orElse(Text.of(StandingWords.because(cause)));
      case Standing.Out(Entry last) ->
          last.tellingFigure()
              .filter(Figure::overLimit)
              .map(f ->
                  Text.of(
                      "prove.out",
                      figure(last, f),
                      FigureWords.number(f, f.limit().getAsDouble(), Text.words())))
              .or(() -> KeptFindings.whyOut(last).map(Text.words()::sayKept))
              .orElse(Text.of("prove.out.bare"));
      case Standing.Open(var check, Optional<Station> waitsFor) ->
          waitsFor.map(s -> Text.of("prove.wait", s.title())).orElse(Text.of("prove.open"));
    };
  }

  private static String figure(Entry entry, Figure figure) {
    return Text.of(
        "prove.figure",
        Text.words().within(FigureWords.label(entry.stationId(), figure, Text.words())),
        FigureWords.withUnit(figure, Text.words()));
  }
}
