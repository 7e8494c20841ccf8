package zebrawood.desktop.practise;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.desktop.text.Text;
import zebrawood.devices.whole.CaseFile;
import zebrawood.devices.whole.CaseKind;
import zebrawood.devices.whole.CaseRun;
import zebrawood.devices.whole.CaseStart;
import zebrawood.devices.whole.Deed;
import zebrawood.devices.whole.Score;
import zebrawood.devices.whole.Trait;
import zebrawood.measure.Estimate;
import zebrawood.records.practise.CaseResultPage;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/** A case that is played, in words. Nothing of it is kept anywhere. */
public final class CaseModel {
  private final String title;
  private final CaseRun run;

  private CaseModel(String title, CaseStart start) {
    this.title = title;
    run = new CaseRun(start);
  }

  public static CaseModel of(CaseKind kind, long seed) {
    return new CaseModel(
        Text.of("practise.case", Message.of(kind), seed), CaseStart.of(kind, seed));
  }

  /** A trainer's own. */
  public static CaseModel of(CaseFile own) {
    return new CaseModel(own.name(), own.start());
  }

  public String title() {
    return title;
  }

  public CaseRun run() {
    return run;
  }

  public String machine() {
    return Text.words().line(Message.of(run.start().kind()));
  }

  public String says() {
    return Text.words().sentence(run.start().says());
  }

  /** What counts, with what is known of it. */
  public record Known(String name, String value) {}

  public List<Known> counts() {
    return counted().map(t -> new Known(Text.words().line(Message.of(t)), known(t))).toList();
  }

  private Stream<Trait> counted() {
    return run.start().counts().stream().sorted();
  }

  private String known(Trait trait) {
    Optional<Estimate> read = run.known(trait);
    return read.map(e ->
            Text.of(
                "practise.known",
                CaseRun.amount(trait, e.value()),
                CaseRun.amount(trait, e.uncertainty()),
                CaseRun.amount(trait, trait.limit())))
        .orElseGet(() -> Text.of("practise.not-read", CaseRun.amount(trait, trait.limit())));
  }

  /** What can be done whose words hold all that is typed; all of it where nothing is. */
  public List<Deed> deeds(String typed) {
    String[] wanted = typed.strip().toLowerCase(Locale.ROOT).split("\\s+");
    return run.possible().stream()
        .filter(d -> {
          String words = (words(d) + " " + d.id()).toLowerCase(Locale.ROOT);
          return Stream.of(wanted).allMatch(words::contains);
        })
        .toList();
  }

  public static String words(Deed deed) {
    return Text.words().line(Message.of(deed));
  }

  /**
   * Does it.
   *
   * @param amount ignored where it has none
   * @return why it cannot be done so; empty where it was done
   */
  public Optional<String> act(Deed deed, double amount) {
    double most = deed.changes().map(Trait::most).orElse(0.0);
    if (deed.hasAmount() && !(Math.abs(amount) <= most)) {
      return Optional.of(Text.of("practise.amount", Message.number(most)));
    }
    run.act(deed, amount);
    return Optional.empty();
  }

  /** The amount that the newest reading asks for; empty where nothing was read. */
  public Optional<Double> wanted(Deed deed) {
    return deed.hasAmount()
        ? deed.changes().flatMap(run::known).map(e -> -Math.round(100 * e.value()) / 100.0)
        : Optional.empty();
  }

  /** In what it is typed, as an amount of nothing. */
  public static String unitOf(Trait trait) {
    return Text.of("practise.amount-alone", CaseRun.amount(trait, 0));
  }

  /** What was done, in one line. */
  public static String done(CaseRun.Line line) {
    Message what =
        line.deed().hasAmount()
            ? Message.of(
                "whole.do-by",
                Message.of(line.deed()),
                CaseRun.amount(line.deed().changes().orElseThrow(), line.amount()))
            : Message.of(line.deed());
    return Text.words().line(what);
  }

  public static String seen(CaseRun.Line line) {
    return line.seen().stream().map(Text.words()::sentence).collect(Collectors.joining(" "));
  }

  public List<String> scored() {
    return Score.of(run).said().stream().map(Text.words()::sentence).toList();
  }

  /** For trainer and trainee. */
  public CaseResultPage page(String written) {
    Phrasebook words = Text.words();
    List<CaseResultPage.Truth> truths = new ArrayList<>();
    counted()
        .forEach(t ->
            truths.add(
                new CaseResultPage.Truth(
                    words.line(Message.of(t)),
                    words.say(
                        Message.of(
                            "practise.amount-alone", CaseRun.amount(t, run.machine().truth(t)))),
                    words.say(Message.of("practise.amount-alone", CaseRun.amount(t, t.limit()))),
                    run.known(t).isPresent()
                        ? words.say("practise.yes")
                        : words.say("practise.no"))));
    return new CaseResultPage(
        title,
        machine(),
        says(),
        written,
        scored(),
        truths,
        run.lines().stream()
            .map(l ->
                new CaseResultPage.Deed(words.say("practise.minute", l.minute()), done(l), seen(l)))
            .toList());
  }
}
