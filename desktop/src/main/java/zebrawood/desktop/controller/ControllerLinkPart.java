package zebrawood.desktop.controller;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.controller.Dialect;
import zebrawood.controller.Settings;
import zebrawood.controller.WireSyntax;
import zebrawood.controller.Write;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.station.EntryRecorder;
import zebrawood.desktop.station.GuardLine;
import zebrawood.desktop.station.SheetContext;
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.devices.controller.Motion;
import zebrawood.devices.controller.SettingsChange;
import zebrawood.devices.controller.SimulatedController;
import zebrawood.devices.controller.TestShot;
import zebrawood.ledger.Entry;
import zebrawood.quantity.Amount;
import zebrawood.words.Message;

/**
 * What is done to a controller, in the order that leaves the ledger telling the truth: it is shown,
 * what is known is kept, a change or a shot begins in the ledger before it begins on the machine,
 * and its outcome replaces that.
 */
final class ControllerLinkPart implements LinkBar.Actions {
  private static final double MM_INSIDE = 5;

  /** Whoever stands at the machine can follow it, and stop it. */
  private static final double SPEED_MM_MIN = 3000;

  private final ControllerModel work;
  private final SheetContext sheet;
  private final SheetHost host;
  private final WorkshopModel workshop;
  private final ControllerSession session;
  private final Ports ports;
  private final SnapshotPart snapshots;
  private final LinkBar linkBar;
  private Optional<ReadOver> readOver = Optional.empty();

  /** The port that somebody chose before a practice. */
  private String chosenBefore = "";

  /** What was read over a port. */
  private record ReadOver(String port, String text) {}

  ControllerLinkPart(ControllerModel work, SheetContext sheet) {
    this.work = work;
    this.sheet = sheet;
    host = sheet.host();
    workshop = sheet.workshop();
    ports = new Ports(work.machine);
    session = new ControllerSession(ports::open, workshop.ui());
    snapshots = new SnapshotPart(work::settingsOf);
    linkBar = new LinkBar(ports.names(), session, this);
  }

  /** While somebody practises there is the stand-in alone. */
  void practiseOn(Optional<SimulatedController> standIn) {
    session.cancel();
    readOver = Optional.empty();
    if (standIn.isPresent()) {
      chosenBefore = linkBar.chosen();
    }
    ports.practiseOn(standIn);
    linkBar.offer(ports.names(), standIn.isPresent() ? Ports.standInName() : chosenBefore);
  }

  LinkBar linkBar() {
    return linkBar;
  }

  /** The port that the settings on the sheet were read over; empty where they came otherwise. */
  Optional<String> readOver() {
    return readOver.filter(r -> r.text().equals(work.dump.text())).map(ReadOver::port);
  }

  /** Shows what would be sent to the port that was read. */
  void writeWhatWasRead() {
    readOver().ifPresent(this::write);
  }

  SnapshotPart snapshots() {
    return snapshots;
  }

  void awaitEnd() {
    session.awaitEnd();
  }

  void dispose() {
    session.dispose();
  }

  private void say(String key, Object... arguments) {
    workshop.say(Text.of(key, arguments));
  }

  /** What is known now, as it is kept. */
  private Optional<EntryRecorder.Reading> reading() {
    return work.solved().map(f -> EntryRecorder.Reading.of(work, f));
  }

  /** Where it is and how it is talked to; says so where that is not known. */
  private Optional<ControllerSession.Line> line(String port) {
    if (work.talks().isEmpty() && ports.isStandIn(port)) {
      work.dialect.take(StandIn.dialect());
      say("controller.said.dialect-taken", StandIn.dialect().name());
    }
    Optional<Dialect> dialect = work.dialect().filter(d -> d.talk().isPresent());
    if (dialect.isEmpty()) {
      say("controller.said.dialect-first");
    }
    return dialect.map(d -> new ControllerSession.Line(port, d, work.head.laser()));
  }

  @Override
  public void read(String port) {
    line(port)
        .ifPresent(line ->
            session.read(
                line,
                settings -> {
                  List<String> missing = missing(settings);
                  readOver = Optional.of(new ReadOver(port, settings.dump()));
                  work.origin.takeRead(settings.dump());
                  if (missing.isEmpty()) {
                    say("controller.said.read", settings.values().size());
                  } else {
                    say(
                        "controller.said.read-without",
                        settings.values().size(),
                        Message.list(missing.stream().map(Message::quoted).toList()));
                  }
                  sheet.focusNext();
                }));
  }

  /** What was in the last list that was seen, or in the one as it was left, and is not now. */
  private List<String> missing(Settings now) {
    return work.settings()
        .or(() -> snapshots.chosen().flatMap(s -> work.settingsOf(s.text())))
        .map(before -> before.keys().stream().filter(k -> !now.values().containsKey(k)).toList())
        .orElse(List.of());
  }

  @Override
  public void write(String port) {
    List<Write> writes = work.solved().map(f -> f.finding().writes()).orElse(List.of());
    if (writes.isEmpty()) {
      say("controller.said.nothing-to-write");
      return;
    }
    send(port, writes, Text.of("controller.write.title"));
  }

  @Override
  public void restore(String port) {
    Optional<Settings> now = work.settings();
    Optional<Settings> left = snapshots.chosen().flatMap(s -> work.settingsOf(s.text()));
    if (now.isEmpty() || left.isEmpty()) {
      say("controller.said.no-snapshot");
      return;
    }
    List<Write> writes = SettingsChange.restore(now.get(), left.get());
    if (writes.isEmpty()) {
      say("controller.said.nothing-to-write");
      return;
    }
    send(port, writes, Text.of("controller.restore.title"));
  }

  /** Shows every line, keeps the snapshot, then sends. */
  private void send(String port, List<Write> writes, String title) {
    Optional<EntryRecorder.Reading> before = reading();
    Optional<Settings> seen = work.settings();
    if (before.isEmpty() || seen.isEmpty()) {
      say("controller.said.read-first");
      return;
    }
    host.confirm(
        title,
        Text.of("controller.write.why"),
        preview(writes),
        Text.of("controller.write.caution"),
        Text.of("controller.write.go"),
        () ->
            sheet
                .recorder()
                .withInitials(() ->
                    sheet.recorder().keep(before.get(), () -> change(port, seen.get(), writes))));
  }

  /** What each line means, and the line itself. */
  private static List<String> preview(List<Write> writes) {
    return writes.stream()
        .map(w ->
            Text.of(
                "controller.write.line",
                Message.verbatim(Text.words().line(w.meaning())),
                Message.quoted(w.line())))
        .toList();
  }

  private void change(String port, Settings seen, List<Write> writes) {
    Optional<ControllerSession.Line> line = line(port);
    if (line.isEmpty()) {
      return;
    }
    reading()
        .ifPresent(r ->
            sheet
                .recorder()
                .begin(
                    r,
                    begun ->
                        session.change(
                            line.get(),
                            seen,
                            writes,
                            outcome -> changed(port, begun, r, outcome),
                            because -> {
                              workshop.say(because);
                              sheet.recorder().endUndecided(begun, r);
                            })));
  }

  private void changed(
      String port, Entry begun, EntryRecorder.Reading r, SettingsChange.Outcome outcome) {
    switch (outcome) {
      case SettingsChange.Outcome.Done(Settings snapshot, Settings after) -> {
        readOver = Optional.of(new ReadOver(port, after.dump()));
        show(begun, after);
        say("controller.said.written");
      }
      case SettingsChange.Outcome.Changed(Settings snapshot, var differences) -> {
        show(begun, snapshot);
        say("controller.said.changed", differences.size());
      }
      case SettingsChange.Outcome.Stopped(var before, var now, var at, Message because) -> {
        say(
            "controller.said.stopped",
            at.map(Write::meaning).orElse(Message.verbatim("–")),
            because);
        if (now.isPresent()) {
          show(begun, now.get());
          before.ifPresent(snapshot -> offerRestore(port, now.get(), snapshot, because));
        } else if (at.isEmpty()) {
          sheet.recorder().endUndecided(begun, r);
        } else {
          // Nobody knows what is in it: the station stands out until it is read again.
          work.dump.set("");
          say("controller.said.unknown", because);
        }
      }
    }
  }

  /** What is in the controller stands on the sheet and in the ledger. */
  private void show(Entry begun, Settings now) {
    work.dump.set(now.dump());
    reading().ifPresent(r -> sheet.recorder().end(begun, r));
  }

  private void offerRestore(String port, Settings now, Settings snapshot, Message because) {
    List<Write> writes = SettingsChange.restore(now, snapshot);
    if (!writes.isEmpty()) {
      host.confirm(
          Text.of("controller.restore.title"),
          Text.of(because),
          preview(writes),
          Text.of("controller.write.caution"),
          Text.of("controller.write.go"),
          () -> change(port, now, writes));
    }
  }

  @Override
  public void shot(String port) {
    if (!work.head.laser()) {
      say("controller.said.no-laser");
      return;
    }
    Optional<EntryRecorder.Reading> r = reading();
    Optional<Settings> settings = work.settings();
    if (r.isEmpty() || settings.isEmpty()) {
      say("controller.said.read-first");
      return;
    }
    Optional<Message> wrong =
        Stream.of(work.shot.share, work.shot.pulse)
            .filter(f -> f.value().isEmpty())
            .map(f -> f.problem().orElse(Message.of("form.empty", f.label())))
            .findFirst();
    if (wrong.isPresent()) {
      workshop.say(Text.words().sentence(wrong.get()));
      return;
    }
    if (!TestShot.canFire(settings.get().dialect())) {
      say("controller.trouble.cannot-fire");
      return;
    }
    List<GuardLine> missing = host.notProvenToday();
    if (missing.isEmpty()) {
      confirmShot(port, settings.get(), r.get());
    } else {
      host.confirm(
          Text.of("guard.missing"),
          Text.of("controller.shot.proof"),
          missing.stream().map(l -> Text.of(l.said())).toList(),
          "",
          Text.of("guard.prove"),
          () -> host.open(host.guardStation()));
    }
  }

  private static Amount shown(QuantityField field) {
    return Amount.plain(field.number(), field.quantity());
  }

  private void confirmShot(String port, Settings settings, EntryRecorder.Reading r) {
    TestShot.Order order =
        new TestShot.Order(
            work.shot.share.number() / 100,
            Duration.ofMillis(Math.round(work.shot.pulse.number())));
    host.confirm(
        Text.of("controller.shot.title"),
        Text.of("controller.shot.why"),
        List.of(
            Text.of("controller.shot.line", shown(work.shot.share), shown(work.shot.pulse)),
            String.join("  ", TestShot.lines(order, settings)),
            Text.of(
                settings.dialect().talk().filter(WireSyntax::aloneWhileStoring).isPresent()
                    ? "controller.shot.link-goes-alone"
                    : "controller.shot.link-goes")),
        Text.of("controller.shot.caution", work.machine.standingCaution()),
        Text.of("controller.shot.go"),
        () -> sheet.recorder().withInitials(() -> fire(port, order, r)));
  }

  private void fire(String port, TestShot.Order order, EntryRecorder.Reading r) {
    Optional<ControllerSession.Line> line = line(port);
    if (line.isEmpty()) {
      return;
    }
    sheet
        .recorder()
        .begin(
            r,
            begun ->
                session.shot(
                    line.get(),
                    order,
                    outcome -> fired(begun, r, outcome),
                    because ->
                        fired(begun, r, new TestShot.Outcome.NotFired(Message.verbatim(because)))));
  }

  private void fired(Entry begun, EntryRecorder.Reading r, TestShot.Outcome outcome) {
    switch (outcome) {
      case TestShot.Outcome.Fired(long word) -> say("controller.shot.fired", word);
      case TestShot.Outcome.NotFired(Message because) -> say("controller.shot.not-fired", because);
      case TestShot.Outcome.Perhaps(Message because) -> say("controller.shot.perhaps", because);
      case TestShot.Outcome.ModeUnknown(Message because) -> say("controller.shot.unknown", because);
    }
    if (!(outcome instanceof TestShot.Outcome.ModeUnknown)) {
      sheet.recorder().endUndecided(begun, r);
    }
  }

  @Override
  public void home(String port) {
    move(port, List.of());
  }

  /** The corners of what is on it, from where it homes to. */
  @Override
  public void corners(String port) {
    double right = work.head.travelMm(work.machine).get(0) - MM_INSIDE;
    double rear = work.head.travelMm(work.machine).get(1) - MM_INSIDE;
    move(
        port,
        List.of(
            new Motion.Place(MM_INSIDE, MM_INSIDE),
            new Motion.Place(right, MM_INSIDE),
            new Motion.Place(right, rear),
            new Motion.Place(MM_INSIDE, rear),
            new Motion.Place(MM_INSIDE, MM_INSIDE)));
  }

  private void move(String port, List<Motion.Place> places) {
    Optional<ControllerSession.Line> line = line(port);
    Optional<WireSyntax> talk = line.flatMap(l -> l.dialect().talk());
    if (talk.isEmpty()) {
      return;
    }
    boolean fromHome = places.isEmpty() || talk.get().placesFromHomeCorner();
    if (!talk.get().canMove() || !fromHome) {
      say(talk.get().canMove() ? "controller.motion.from-home" : "controller.motion.not-known");
      return;
    }
    List<String> lines =
        new ArrayList<>(List.of(WireSyntax.words(talk.get().home().orElseThrow())));
    lines.addAll(Motion.lines(talk.get(), places, SPEED_MM_MIN));
    host.confirm(
        Text.of("controller.motion.title"),
        Text.of(places.isEmpty() ? "controller.motion.why" : "controller.motion.homes-first"),
        lines,
        Text.of("controller.motion.caution"),
        Text.of("controller.motion.go"),
        () -> session.move(line.get(), places, SPEED_MM_MIN, outcome -> moved(places, outcome)));
  }

  private void moved(List<Motion.Place> places, Motion.Outcome outcome) {
    switch (outcome) {
      case Motion.Outcome.There t ->
          say(places.isEmpty() ? "controller.link.there" : "controller.said.corners");
      case Motion.Outcome.Stopped s -> say("controller.motion.stopped");
      case Motion.Outcome.NotThere(Message because) -> workshop.say(Text.words().sentence(because));
      case Motion.Outcome.NobodyKnows(Message because) ->
          say("controller.motion.nobody-knows", because);
    }
  }
}
