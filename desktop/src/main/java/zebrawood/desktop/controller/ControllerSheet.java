package zebrawood.desktop.controller;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import zebrawood.controller.ControllerFinding;
import zebrawood.controller.ControllerReadings.Head;
import zebrawood.controller.ControllerStation;
import zebrawood.controller.ControllerVisit;
import zebrawood.controller.Settings;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.AnsweredSheet;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.sheet.Step;
import zebrawood.desktop.sheet.TodaysProof;
import zebrawood.desktop.text.Text;
import zebrawood.devices.controller.SettingsChange;
import zebrawood.devices.controller.TestShot;
import zebrawood.ledger.Entry;
import zebrawood.measure.Numbers;
import zebrawood.measure.Verdict;
import zebrawood.records.controller.ControllerRecord;
import zebrawood.start.GoLine;
import zebrawood.start.StartStation;

/** The controller station's sheet. */
public final class ControllerSheet extends AnsweredSheet implements LinkBar.Actions {
  private static final double MM_INSIDE = 5;

  private final SheetHost host;
  private final ControllerModel model;
  private final Linking linking;
  private final SnapshotPart snapshots = new SnapshotPart();
  private final ControllerPane pane;
  private final NumberEntry share = new NumberEntry("Share of the top word", "%", 0.1, 30);
  private final NumberEntry pulseMs = new NumberEntry("For", "ms", 5, 1000);

  public ControllerSheet(SheetHost host) {
    this(host, new ControllerModel(host.workshop().opened().machine()));
  }

  private ControllerSheet(SheetHost host, ControllerModel model) {
    super(
        host,
        ControllerStation.STATION,
        model,
        kept -> ControllerRecord.of(kept).typed(),
        Optional.empty());
    this.host = host;
    this.model = model;
    share.set(1);
    pulseMs.set(100);
    Ports ports = new Ports(workshop.opened().machine());
    linking = new Linking(ports::open, workshop.ui());
    pane =
        new ControllerPane(
            model,
            new LinkBar(ports.names(), linking, this),
            snapshots,
            List.of(share, pulseMs),
            this::focusPrimary);
    assemble(
        pane,
        Text.of("controller.picture.title"),
        Text.of("controller.picture.legend"),
        new ControllerPicture(model));
    model.setOnTyped(this::keepDraft);
    model.configuration().textProperty().subscribe((was, now) -> configurationNamed(now.strip()));
    model.outcomeProperty().subscribe(o -> showAdvice());
  }

  @Override
  protected void recordChanged() {
    List<Snapshot> all = Snapshot.all(workshop);
    Optional<Snapshot> left = Snapshot.lastLeft(all, model.configuration().text().strip());
    model.setLeftBefore(left.map(Snapshot::text));
    snapshots.show(all, left);
  }

  /** A head that was here before brings its power words and its travel with it. */
  private void configurationNamed(String name) {
    Snapshot.lastLeft(Snapshot.all(workshop), name)
        .filter(s -> !name.isEmpty())
        .ifPresent(s -> model.takeHead(s.typed()));
    recordChanged();
  }

  @Override
  protected Shown shown() {
    String caution = Text.of("controller.caution");
    return switch (model.outcomeProperty().get()) {
      case ControllerOutcome.Waiting(String next) ->
          new Shown(
              List.of(new Step("", Text.of("cooling.do.read", next), Text.of("controller.do.why"))),
              List.of(),
              caution,
              "",
              Optional.empty());
      case ControllerOutcome.Refused(String because) ->
          new Shown(
              List.of(new Step("", Text.of("bed.do.mend"), because)),
              List.of(),
              caution,
              "",
              Optional.empty());
      case ControllerOutcome.Found(var visit, var finding) ->
          new Shown(
              finding.advice().stream().map(s -> Step.ofAdvice(s, ControllerVisit.PROVE)).toList(),
              finding.warnings(),
              caution,
              summary(finding),
              Optional.of(reading(visit, finding)));
    };
  }

  private EntryDesk.Reading reading(ControllerVisit visit, ControllerVisit.Judged finding) {
    return new EntryDesk.Reading(
        ControllerRecord.readings(model.typed(), visit),
        ControllerRecord.finding(finding),
        finding.verdict(),
        visit.figures(finding));
  }

  private String summary(ControllerVisit.Judged f) {
    List<String> sentences = new ArrayList<>();
    f.audit()
        .filter(a -> a.effectiveFullPower().isPresent())
        .ifPresent(a ->
            sentences.add(
                Text.of(
                    model.headProperty().get() == Head.LASER
                        ? "controller.summary.power"
                        : "controller.summary.speed",
                    Numbers.fixed(100 * a.effectiveFullPower().getAsDouble(), 0),
                    a.writes().isEmpty()
                        ? Text.of("controller.summary.nothing")
                        : String.join("  ", a.writes()))));
    f.runUp()
        .ifPresent(r ->
            sentences.add(
                Text.of(
                    "controller.summary.run-up",
                    Numbers.fixed(r.runUpMm(), 1),
                    Numbers.fixed(r.bestSpeedMmS(), 0))));
    return String.join(" ", sentences);
  }

  private Optional<ControllerOutcome.Found> found() {
    return model.outcomeProperty().get() instanceof ControllerOutcome.Found found
        ? Optional.of(found)
        : Optional.empty();
  }

  @Override
  public void read(String port) {
    linking.read(
        port,
        settings -> {
          model.dump().textProperty().set(settings.dump());
          workshop.say(Text.of("controller.said.read", settings.values().size()));
          pane.focusNextEmpty();
        });
  }

  @Override
  public void write(String port) {
    List<String> writes =
        found().flatMap(f -> f.finding().audit()).map(ControllerFinding::writes).orElse(List.of());
    if (writes.isEmpty()) {
      workshop.say(Text.of("controller.said.nothing-to-write"));
      return;
    }
    send(port, writes, Text.of("controller.write.title"));
  }

  @Override
  public void restore(String port) {
    Optional<Settings> now = model.settings();
    Optional<String> left =
        snapshots.chosen().map(Snapshot::text).filter(text -> text.contains("$"));
    if (now.isEmpty() || left.isEmpty()) {
      workshop.say(Text.of("controller.said.no-snapshot"));
      return;
    }
    List<String> lines = SettingsChange.restore(now.get(), Settings.parse(left.get()));
    if (lines.isEmpty()) {
      workshop.say(Text.of("controller.said.nothing-to-write"));
      return;
    }
    send(port, lines, Text.of("controller.restore.title"));
  }

  /** Shows every line, keeps the snapshot, then sends. */
  private void send(String port, List<String> lines, String title) {
    Optional<ControllerOutcome.Found> before = found();
    Optional<Settings> seen = model.settings();
    if (before.isEmpty() || seen.isEmpty()) {
      workshop.say(Text.of("controller.said.read-first"));
      return;
    }
    host.confirm(
        title,
        Text.of("controller.write.why"),
        lines,
        Text.of("controller.write.caution"),
        Text.of("controller.write.go"),
        () ->
            host.withInitials(() ->
                keep(
                    reading(before.get().visit(), before.get().finding()),
                    () -> change(port, seen.get(), lines))));
  }

  /** Records what is known now, without clearing what is typed. */
  private void keep(EntryDesk.Reading reading, Runnable then) {
    Entry entry = entry(reading, Optional.empty());
    workshop.record(
        entry,
        () -> {
          desk.keepDraft(model.typed());
          then.run();
        },
        () -> desk.keepDraft(model.typed()));
  }

  private Entry entry(EntryDesk.Reading reading, Optional<Entry> replaces) {
    return workshop.entry(
        ControllerStation.STATION,
        desk.kindOfNext(false),
        reading.readings(),
        reading.finding(),
        reading.verdict(),
        reading.figures(),
        replaces);
  }

  /**
   * Keeps an entry that stands out before anything is sent, so that a closed window or a killed
   * program leaves the ledger saying so; the outcome replaces it.
   */
  private void begin(EntryDesk.Reading r, Consumer<Entry> then) {
    Entry begun =
        entry(
            new EntryDesk.Reading(r.readings(), r.finding(), Verdict.STOP, List.of()),
            Optional.empty());
    workshop.record(
        begun,
        () -> {
          desk.keepDraft(model.typed());
          then.accept(begun);
        },
        () -> desk.keepDraft(model.typed()));
  }

  /** What is known now replaces what was begun. */
  private void end(Entry begun, EntryDesk.Reading r) {
    workshop.record(entry(r, Optional.of(begun)), () -> {}, () -> {});
  }

  /** What was begun decides nothing: the station stands as it did before. */
  private void endUndecided(Entry begun, EntryDesk.Reading r) {
    end(begun, new EntryDesk.Reading(r.readings(), r.finding(), Verdict.MEASURE_AGAIN, List.of()));
  }

  private void change(String port, Settings seen, List<String> lines) {
    found()
        .map(f -> reading(f.visit(), f.finding()))
        .ifPresent(r ->
            begin(
                r,
                begun ->
                    linking.change(
                        port,
                        seen,
                        lines,
                        outcome -> changed(port, begun, r, outcome),
                        because -> {
                          workshop.say(because);
                          endUndecided(begun, r);
                        })));
  }

  private void changed(
      String port, Entry begun, EntryDesk.Reading r, SettingsChange.Outcome outcome) {
    switch (outcome) {
      case SettingsChange.Outcome.Done(Settings snapshot, Settings after) -> {
        show(begun, after);
        workshop.say(Text.of("controller.said.written"));
      }
      case SettingsChange.Outcome.Changed(Settings snapshot, var differences) -> {
        show(begun, snapshot);
        workshop.say(Text.of("controller.said.changed", differences.size()));
      }
      case SettingsChange.Outcome.Stopped(var before, var now, String line, String because) -> {
        workshop.say(Text.of("controller.said.stopped", line.isEmpty() ? "–" : line, because));
        if (now.isPresent()) {
          show(begun, now.get());
          before.ifPresent(snapshot -> offerRestore(port, now.get(), snapshot, because));
        } else if (line.isEmpty()) {
          endUndecided(begun, r);
        } else {
          // Nobody knows what is in it: the station stands out until it is read again.
          model.dump().textProperty().set("");
          workshop.say(Text.of("controller.said.unknown", because));
        }
      }
    }
  }

  /** What is in the controller stands on the sheet and in the ledger. */
  private void show(Entry begun, Settings now) {
    model.dump().textProperty().set(now.dump());
    found().ifPresent(f -> end(begun, reading(f.visit(), f.finding())));
  }

  private void offerRestore(String port, Settings now, Settings snapshot, String because) {
    List<String> lines = SettingsChange.restore(now, snapshot);
    if (!lines.isEmpty()) {
      host.confirm(
          Text.of("controller.restore.title"),
          because,
          lines,
          Text.of("controller.write.caution"),
          Text.of("controller.write.go"),
          () -> change(port, now, lines));
    }
  }

  @Override
  public void shot(String port) {
    if (model.headProperty().get() != Head.LASER) {
      workshop.say(Text.of("controller.said.no-laser"));
      return;
    }
    Optional<ControllerOutcome.Found> found = found();
    if (found.isEmpty() || model.settings().isEmpty()) {
      workshop.say(Text.of("controller.said.read-first"));
      return;
    }
    if (share.value().isEmpty() || pulseMs.value().isEmpty()) {
      workshop.say(share.problemProperty().get() + pulseMs.problemProperty().get());
      return;
    }
    List<String> missing = TodaysProof.missing(workshop).stream().map(GoLine::words).toList();
    if (!missing.isEmpty()) {
      host.confirm(
          Text.of("guard.missing"),
          Text.of("controller.shot.proof"),
          missing,
          "",
          Text.of("guard.prove"),
          () -> host.open(StartStation.STATION.id()));
      return;
    }
    TestShot.Order order =
        new TestShot.Order(share.number() / 100, Duration.ofMillis(Math.round(pulseMs.number())));
    host.confirm(
        Text.of("controller.shot.title"),
        Text.of("controller.shot.why"),
        List.of(
            Text.of(
                "controller.shot.line",
                Numbers.plain(share.number()),
                Numbers.plain(pulseMs.number())),
            String.join("  ", TestShot.lines(order, model.settings().orElseThrow()))),
        Text.of("controller.shot.caution", workshop.opened().machine().standingCaution()),
        Text.of("controller.shot.go"),
        () -> host.withInitials(() -> fire(port, order, found.get())));
  }

  private void fire(String port, TestShot.Order order, ControllerOutcome.Found found) {
    EntryDesk.Reading r = reading(found.visit(), found.finding());
    begin(
        r,
        begun ->
            linking.shot(
                port,
                order,
                outcome -> fired(begun, r, outcome),
                because -> fired(begun, r, new TestShot.Outcome.NotFired(because))));
  }

  private void fired(Entry begun, EntryDesk.Reading r, TestShot.Outcome outcome) {
    String words =
        switch (outcome) {
          case TestShot.Outcome.Fired(long word) -> Text.of("controller.shot.fired", word);
          case TestShot.Outcome.NotFired(String because) ->
              Text.of("controller.shot.not-fired", because);
          case TestShot.Outcome.Perhaps(String because) ->
              Text.of("controller.shot.perhaps", because);
          case TestShot.Outcome.ModeUnknown(String because) ->
              Text.of("controller.shot.unknown", because);
        };
    workshop.say(words);
    if (!(outcome instanceof TestShot.Outcome.ModeUnknown)) {
      endUndecided(begun, r);
    }
  }

  @Override
  public void home(String port) {
    confirmMotion(List.of("$H"), () -> linking.move(port, "$H", workshop::say));
  }

  @Override
  public void corners(String port) {
    double right = workshop.opened().machine().areaXMm() - MM_INSIDE;
    double rear = workshop.opened().machine().areaYMm() - MM_INSIDE;
    List<double[]> places =
        List.of(
            new double[] {MM_INSIDE, MM_INSIDE},
            new double[] {right, MM_INSIDE},
            new double[] {right, rear},
            new double[] {MM_INSIDE, rear},
            new double[] {MM_INSIDE, MM_INSIDE});
    confirmMotion(places.stream().map(ControllerSheet::jog).toList(), () -> goTo(port, places, 0));
  }

  private void goTo(String port, List<double[]> places, int next) {
    if (next == places.size()) {
      workshop.say(Text.of("controller.said.corners"));
      return;
    }
    linking.move(port, jog(places.get(next)), words -> goTo(port, places, next + 1));
  }

  private static String jog(double[] place) {
    return "$J=G90G21X%sY%sF3000".formatted(Numbers.plain(place[0]), Numbers.plain(place[1]));
  }

  private void confirmMotion(List<String> lines, Runnable then) {
    host.confirm(
        Text.of("controller.motion.title"),
        Text.of("controller.motion.why"),
        lines,
        Text.of("controller.motion.caution"),
        Text.of("controller.motion.go"),
        then);
  }

  @Override
  protected void disposeMore() {
    linking.dispose();
  }
}
