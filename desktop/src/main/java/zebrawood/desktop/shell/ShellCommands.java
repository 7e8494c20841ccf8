package zebrawood.desktop.shell;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Control;
import javafx.scene.control.TitledPane;
import javafx.scene.layout.Region;
import zebrawood.desktop.command.Command;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.sheet.FormPane;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.fault.FaultStation;
import zebrawood.fault.Seen;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Event;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Recorded;
import zebrawood.machine.Machine;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.handover.MachineCode;
import zebrawood.words.Language;
import zebrawood.words.Message;

/** Everything the window can do now, for the palette and the keys. */
final class ShellCommands {
  private final Shell shell;
  private final WorkshopModel workshop;
  private final List<StationDefinition> definitions;
  private final PaperDesk paper;
  private final HelpDesk help;
  private final Runnable closeWindow;

  ShellCommands(
      Shell shell,
      List<StationDefinition> definitions,
      PaperDesk paper,
      HelpDesk help,
      Runnable closeWindow) {
    this.shell = shell;
    this.workshop = shell.workshop();
    this.definitions = definitions;
    this.paper = paper;
    this.help = help;
    this.closeWindow = closeWindow;
  }

  private void withdraw(Event event) {
    String words = Text.words().sayKept(event.said());
    shell.withInitials(
        () -> workshop.withdraw(event, () -> workshop.say(Text.of("said.event-undone", words))));
  }

  private void restore(Ledger.Withdrawn withdrawn) {
    shell.withInitials(() ->
        workshop.withdraw(
            withdrawn.withdrawal(), () -> workshop.say(Text.of("said.brought-back"))));
  }

  private Message said(Recorded line) {
    return switch (line) {
      case Entry entry ->
          Message.of(
              "command.entry",
              Text.words().has(entry.stationId() + ".title")
                  ? Message.of(entry.stationId() + ".title")
                  : Message.verbatim(entry.stationId()),
              entry.kind(),
              DayWords.dayAndTime(entry.time(), workshop.clock().getZone()));
      case Event event ->
          Message.of(
              "command.event",
              Text.words().sayKept(event.said()),
              DayWords.dayAndTime(event.time(), workshop.clock().getZone()));
    };
  }

  /** Everything the window can do now, in the order the palette lists it. */
  List<Command> all() {
    List<Command> all = new ArrayList<>();
    if (workshop.fileState().lostProperty().get()) {
      all.add(Command.of(Message.of("command.save-elsewhere"), shell.record()::saveElsewhere));
    }
    if (workshop.opened() != null) {
      all.addAll(openCommands());
    }
    all.add(Command.of(Message.of("command.new-machine"), "Ctrl+N", shell::newMachine));
    all.add(Command.of(Message.of("command.passport-in"), () -> shell.record().passportIn("")));
    all.add(Command.of(Message.of("command.restore"), shell.record()::restore));
    all.addAll(displayCommands());
    all.add(Command.of(Message.of("command.practise"), () -> shell.show(OtherPages.PRACTISE)));
    all.add(Command.of(Message.of("command.tell"), "F1", help::tell));
    all.add(Command.of(Message.of("command.manual"), "Shift+F1", help::manual));
    all.add(Command.of(Message.of("command.initials"), shell::askInitials));
    all.add(Command.of(Message.of("command.window"), "Ctrl+Q", closeWindow));
    return all;
  }

  /** What can be done with the open machine. */
  private List<Command> openCommands() {
    List<Command> all = new ArrayList<>();
    all.add(Command.of(Message.of("command.today"), "Ctrl+Home", () -> shell.show(Shell.TODAY)));
    if (shell.shown().equals(Shell.TODAY)) {
      all.add(Command.of(Message.of("command.events"), "F9", shell::toggleEvents));
    }
    int number = 1;
    for (var station : workshop.opened().standings().keySet()) {
      Message words = Message.of("command.open", station.title());
      Runnable run = () -> shell.show(station.id());
      all.add(number <= 9 ? Command.of(words, "Ctrl+" + number, run) : Command.of(words, run));
      number++;
    }
    if (workshop.machinesProperty().get().size() > 1) {
      all.add(Command.of(Message.of("command.all"), "Ctrl+0", () -> shell.show(Shell.ALL)));
    }
    all.add(Command.of(Message.of("command.days"), "Ctrl+T", () -> shell.show(OtherPages.DAYS)));
    all.add(
        Command.of(Message.of("command.search"), "Ctrl+F", () -> shell.show(OtherPages.SEARCH)));
    all.add(Command.of(Message.of("command.passport-out"), shell.record()::passportOut));
    workshop
        .opened()
        .twice()
        .ifPresent(two ->
            all.add(
                Command.of(
                    Message.of("command.twice"), () -> shell.record().twoDescriptions(two))));
    shell
        .shownSheet()
        .ifPresent(sheet -> {
          all.add(Command.of(Message.of("command.primary"), "Ctrl+Enter", sheet::primary));
          all.add(Command.of(Message.of("command.notebook"), "F9", sheet::toggleNotebook));
          if (sheet.practiceRounds() < 0) {
            all.add(
                Command.of(
                    Message.of("command.readings-out"), () -> shell.record().readingsOut(sheet)));
            all.add(
                Command.of(
                    Message.of("command.readings-in"), () -> shell.record().readingsIn(sheet)));
          }
          all.addAll(onSheet(sheet.view()));
        });
    if (workshop.opened().standings().containsKey(FaultStation.STATION)) {
      Stream.of(Seen.values())
          .filter(seen -> seen != Seen.SOMETHING_ELSE)
          .forEach(seen -> all.add(Command.of(Message.of("command.seen", seen), () -> why(seen))));
    }
    all.add(Command.of(Message.of("command.happened"), "Ctrl+E", shell::happened));
    for (StationDefinition definition : definitions) {
      if (workshop.opened().standings().containsKey(definition.station())) {
        all.addAll(definition.commands().apply(shell));
      }
    }
    all.add(Command.of(Message.of("command.handover"), "Ctrl+P", paper::handOver));
    all.add(Command.of(Message.of("command.machine-card"), paper::machineCard));
    all.add(
        Command.of(
            Message.of("command.change-machine", workshop.opened().machine().name()),
            shell::changeMachine));
    Machine open = workshop.opened().machine();
    if (open.simulated()) {
      all.add(Command.of(Message.of("command.remove-machine", open.name()), shell::removeMachine));
    }
    all.add(Command.of(Message.of("command.undo"), "Ctrl+U", shell::takeBackLast));
    Ledger ledger = workshop.opened().ledger();
    for (Event event : newest(ledger.events())) {
      all.add(Command.of(Message.of("command.undo-event", said(event)), () -> withdraw(event)));
    }
    for (Ledger.Withdrawn gone : newest(ledger.withdrawn())) {
      all.add(Command.of(Message.of("command.bring-back", said(gone.what())), () -> restore(gone)));
    }
    for (Machine machine : workshop.machinesProperty().get()) {
      all.add(
          Command.of(Message.of("command.machine", machine.name()), () -> workshop.choose(machine))
              .foundBy(MachineCode.words(machine)));
    }
    return all;
  }

  /** Opens the way from what is seen to its cause; a case that is open stays as it is. */
  private void why(Seen seen) {
    shell.show(FaultStation.STATION.id());
    shell
        .shownSheet()
        .ifPresent(s -> s.typeIfNothingRead(Map.of(Field.READING + "seen", seen.name())));
  }

  /** What stands on the sheet and can be pressed or opened now, by its own words. */
  private static List<Command> onSheet(Region sheet) {
    Map<String, Command> found = new LinkedHashMap<>();
    for (Node node : sheet.lookupAll(".button")) {
      if (node instanceof Button button
          && !button.isDisabled()
          && notHidden(button)
          && !button.getStyleClass().contains("proof-answer")
          && button.getText() != null
          && button.getText().strip().length() >= LEAST_LETTERS) {
        found.putIfAbsent(
            button.getText(),
            Command.of(Message.verbatim(button.getText()), () -> unfoldOrPress(button)));
      }
    }
    for (Node node : sheet.lookupAll(".titled-pane")) {
      if (node instanceof TitledPane fold && shown(fold)) {
        found.putIfAbsent(
            fold.getText(),
            Command.of(
                Message.of("command.open", Message.verbatim(fold.getText())),
                () -> {
                  fold.setExpanded(true);
                  fold.requestFocus();
                }));
      }
    }
    List<Command> all = new ArrayList<>(found.values().stream().limit(MOST_LISTED).toList());
    all.addAll(fieldsOn(sheet));
    return all;
  }

  /** Its fields, by what stands before them. */
  private static List<Command> fieldsOn(Region sheet) {
    Map<String, Command> found = new LinkedHashMap<>();
    for (String style : List.of(".text-input", ".combo-box")) {
      for (Node node : sheet.lookupAll(style)) {
        if (node instanceof Control control && !control.isDisabled() && notHidden(control)) {
          FormPane.fieldOf(control)
              .map(Field::label)
              .ifPresent(label ->
                  found.putIfAbsent(
                      Text.of(label),
                      Command.of(
                          Message.of("command.field", label), () -> unfoldAndFocus(control))));
        }
      }
    }
    return found.values().stream().limit(MOST_LISTED).toList();
  }

  /** A button in a closed fold is not pressed unseen: its fold opens, and it has the focus. */
  private static void unfoldOrPress(Button button) {
    if (!unfoldAndFocus(button)) {
      button.fire();
    }
  }

  /** Returns whether a fold around it was closed. */
  private static boolean unfoldAndFocus(Control control) {
    List<TitledPane> closed = new ArrayList<>();
    for (Node at = control; at != null; at = at.getParent()) {
      if (at instanceof TitledPane fold && !fold.isExpanded()) {
        closed.addFirst(fold);
      }
    }
    closed.forEach(fold -> fold.setExpanded(true));
    control.requestFocus();
    return !closed.isEmpty();
  }

  /** Whether nothing but closed folds keeps it from being seen. */
  private static boolean notHidden(Node node) {
    for (Node at = node; at != null; at = at.getParent()) {
      if (!at.isVisible() && !hiddenByItsFold(at)) {
        return false;
      }
    }
    return true;
  }

  /** A closed fold hides its content, and what holds that. */
  private static boolean hiddenByItsFold(Node node) {
    for (Node at = node.getParent(); at != null; at = at.getParent()) {
      if (at instanceof TitledPane fold) {
        return !fold.isExpanded() && (fold == node.getParent() || fold.getContent() == node);
      }
    }
    return false;
  }

  private static boolean shown(Node node) {
    for (Node at = node; at != null; at = at.getParent()) {
      if (!at.isVisible()) {
        return false;
      }
    }
    return true;
  }

  /** A sign alone is no word to look for. */
  private static final int LEAST_LETTERS = 2;

  /** More of them nobody looks through. */
  private static final int MOST_LISTED = 40;

  private static <T> List<T> newest(List<T> oldestFirst) {
    return oldestFirst.reversed().stream().limit(MOST_LISTED).toList();
  }

  private List<Command> displayCommands() {
    DisplayUnits units = workshop.units();
    List<Command> all = new ArrayList<>();
    for (Language language : Language.values()) {
      // The window is made anew, and a case would end with it.
      if (language != workshop.languageProperty().get() && shell.playing().isEmpty()) {
        all.add(
            Command.of(
                Message.of("command.language", language),
                () -> workshop.languageProperty().set(language)));
      }
    }
    all.addAll(
        List.of(
            Command.of(
                Message.of("command.unit", Shell.next(units.length())),
                "Ctrl+I",
                shell::toggleUnit),
            Command.of(
                Message.of("command.temperature", Shell.next(units.temperature())),
                () -> workshop.unitsProperty().set(units.with(Shell.next(units.temperature())))),
            Command.of(
                Message.of("command.speed", Shell.next(units.speed())),
                () -> workshop.unitsProperty().set(units.with(Shell.next(units.speed())))),
            Command.of(
                Message.of("command.interval", Shell.next(units.interval())),
                () -> workshop.unitsProperty().set(units.with(Shell.next(units.interval())))),
            Command.of(
                Message.of(workshop.darkProperty().get() ? "command.light" : "command.dark"),
                "Ctrl+D",
                shell::toggleTheme),
            Command.of(Message.of("command.larger"), "Ctrl+Plus", () -> shell.resize(1)),
            Command.of(Message.of("command.smaller"), "Ctrl+Minus", () -> shell.resize(-1))));
    return all;
  }
}
