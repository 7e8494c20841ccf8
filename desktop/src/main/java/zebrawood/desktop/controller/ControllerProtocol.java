package zebrawood.desktop.controller;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.controller.ControllerFinding;
import zebrawood.controller.Settings;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.sheet.EntryRecorder;
import zebrawood.desktop.sheet.GuardLine;
import zebrawood.desktop.sheet.SheetContext;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.sheet.StationSheet;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.devices.controller.SettingsChange;
import zebrawood.devices.controller.TestShot;
import zebrawood.ledger.Entry;
import zebrawood.machine.Machine;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Numbers;
import zebrawood.words.Message;

/**
 * What is done to a controller, in the order that leaves the ledger telling the truth: it is shown,
 * what is known is kept, a change or a shot begins in the ledger before it begins on the machine,
 * and its outcome replaces that.
 */
final class ControllerProtocol implements LinkBar.Actions {
  private static final double MM_INSIDE = 5;

  private final ControllerWork work;
  private final SheetContext sheet;
  private final SheetHost host;
  private final WorkshopModel workshop;
  private final ControllerSession session;
  private final Ports ports;
  private final SnapshotPart snapshots = new SnapshotPart();

  ControllerProtocol(ControllerWork work, SheetContext sheet) {
    this.work = work;
    this.sheet = sheet;
    host = sheet.host();
    workshop = sheet.workshop();
    ports = new Ports(work.machine());
    session = new ControllerSession(ports::open, workshop.ui());
  }

  LinkBar linkBar() {
    return new LinkBar(ports.names(), session, this);
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
    return work.found().map(f -> StationSheet.reading(work, f));
  }

  @Override
  public void read(String port) {
    session.read(
        port,
        settings -> {
          work.dump().set(settings.dump());
          say("controller.said.read", settings.values().size());
          sheet.focusNext();
        });
  }

  @Override
  public void write(String port) {
    List<String> writes =
        work.found()
            .flatMap(f -> f.finding().audit())
            .map(ControllerFinding::writes)
            .orElse(List.of());
    if (writes.isEmpty()) {
      say("controller.said.nothing-to-write");
      return;
    }
    send(port, writes, Text.of("controller.write.title"));
  }

  @Override
  public void restore(String port) {
    Optional<Settings> now = work.settings();
    Optional<String> left =
        snapshots.chosen().map(Snapshot::text).filter(text -> text.contains("$"));
    if (now.isEmpty() || left.isEmpty()) {
      say("controller.said.no-snapshot");
      return;
    }
    List<String> lines = SettingsChange.restore(now.get(), Settings.parse(left.get()));
    if (lines.isEmpty()) {
      say("controller.said.nothing-to-write");
      return;
    }
    send(port, lines, Text.of("controller.restore.title"));
  }

  /** Shows every line, keeps the snapshot, then sends. */
  private void send(String port, List<String> lines, String title) {
    Optional<EntryRecorder.Reading> before = reading();
    Optional<Settings> seen = work.settings();
    if (before.isEmpty() || seen.isEmpty()) {
      say("controller.said.read-first");
      return;
    }
    host.confirm(
        title,
        Text.of("controller.write.why"),
        lines,
        Text.of("controller.write.caution"),
        Text.of("controller.write.go"),
        () ->
            host.withInitials(
                () -> sheet.recorder().keep(before.get(), () -> change(port, seen.get(), lines))));
  }

  private void change(String port, Settings seen, List<String> lines) {
    reading()
        .ifPresent(r ->
            sheet
                .recorder()
                .begin(
                    r,
                    begun ->
                        session.change(
                            port,
                            seen,
                            lines,
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
        show(begun, after);
        say("controller.said.written");
      }
      case SettingsChange.Outcome.Changed(Settings snapshot, var differences) -> {
        show(begun, snapshot);
        say("controller.said.changed", differences.size());
      }
      case SettingsChange.Outcome.Stopped(var before, var now, String line, Message because) -> {
        say("controller.said.stopped", line.isEmpty() ? "–" : line, because);
        if (now.isPresent()) {
          show(begun, now.get());
          before.ifPresent(snapshot -> offerRestore(port, now.get(), snapshot, because));
        } else if (line.isEmpty()) {
          sheet.recorder().endUndecided(begun, r);
        } else {
          // Nobody knows what is in it: the station stands out until it is read again.
          work.dump().set("");
          say("controller.said.unknown", because);
        }
      }
    }
  }

  /** What is in the controller stands on the sheet and in the ledger. */
  private void show(Entry begun, Settings now) {
    work.dump().set(now.dump());
    reading().ifPresent(r -> sheet.recorder().end(begun, r));
  }

  private void offerRestore(String port, Settings now, Settings snapshot, Message because) {
    List<String> lines = SettingsChange.restore(now, snapshot);
    if (!lines.isEmpty()) {
      host.confirm(
          Text.of("controller.restore.title"),
          Text.of(because),
          lines,
          Text.of("controller.write.caution"),
          Text.of("controller.write.go"),
          () -> change(port, now, lines));
    }
  }

  @Override
  public void shot(String port) {
    if (!work.head().laser()) {
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
        Stream.of(work.share(), work.pulse())
            .filter(f -> f.value().isEmpty())
            .map(f -> f.problem().orElse(Message.of("form.empty", f.label())))
            .findFirst();
    if (wrong.isPresent()) {
      workshop.say(Text.words().sentence(wrong.get()));
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
            work.share().number() / 100, Duration.ofMillis(Math.round(work.pulse().number())));
    host.confirm(
        Text.of("controller.shot.title"),
        Text.of("controller.shot.why"),
        List.of(
            Text.of("controller.shot.line", shown(work.share()), shown(work.pulse())),
            String.join("  ", TestShot.lines(order, settings))),
        Text.of("controller.shot.caution", work.machine().standingCaution()),
        Text.of("controller.shot.go"),
        () -> host.withInitials(() -> fire(port, order, r)));
  }

  private void fire(String port, TestShot.Order order, EntryRecorder.Reading r) {
    sheet
        .recorder()
        .begin(
            r,
            begun ->
                session.shot(
                    port,
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
    confirmMotion(List.of("$H"), () -> session.move(port, "$H", workshop::say));
  }

  @Override
  public void corners(String port) {
    Machine machine = work.machine();
    double right = machine.areaXMm() - MM_INSIDE;
    double rear = machine.areaYMm() - MM_INSIDE;
    List<String> lines =
        List.of(
            jog(MM_INSIDE, MM_INSIDE),
            jog(right, MM_INSIDE),
            jog(right, rear),
            jog(MM_INSIDE, rear),
            jog(MM_INSIDE, MM_INSIDE));
    confirmMotion(lines, () -> goTo(port, lines, 0));
  }

  private void goTo(String port, List<String> lines, int next) {
    if (next == lines.size()) {
      say("controller.said.corners");
      return;
    }
    session.move(port, lines.get(next), words -> goTo(port, lines, next + 1));
  }

  private static String jog(double xMm, double yMm) {
    return "$J=G90G21X" + Numbers.plain(xMm) + "Y" + Numbers.plain(yMm) + "F3000";
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
}
