package zebrawood.desktop.shell;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import zebrawood.desktop.command.Command;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.manual.ManualFiles;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Station;
import zebrawood.words.Message;

/** What F1 tells: of what has the focus, of the page, and of everything that is written about. */
final class HelpDesk {
  private static final List<String> WITHOUT_A_MACHINE =
      List.of("today", "workshop", "event", "machine");

  private final Shell shell;
  private final Cards about;
  private final List<StationDefinition> definitions;
  private final DesktopPrograms outside;

  /**
   * @param about lies over whatever card is open
   * @param outside shows the manual
   */
  HelpDesk(Shell shell, Cards about, List<StationDefinition> definitions, DesktopPrograms outside) {
    this.definitions = definitions;
    this.shell = shell;
    this.about = about;
    this.outside = outside;
  }

  /** What can hurt there at the open machine; empty where nothing can. */
  private String caution(Topic topic) {
    Optional<StationDefinition> station =
        definitions.stream().filter(d -> d.station().id().equals(topic.of())).findFirst();
    if (station.isPresent()) {
      return Optional.ofNullable(shell.workshop().opened())
          .map(o -> Text.of(station.get().caution().apply(o.machine())))
          .orElse("");
    }
    String ofAPage = topic.of() + ".caution";
    return Text.words().has(ofAPage) ? Text.of(ofAPage) : "";
  }

  /** Opens all of it as one page, which goes with the program's end. */
  void manual() {
    WorkshopModel workshop = shell.workshop();
    workshop.withFile(
        file -> {
          try {
            Path page = Files.createTempFile("zebrawood-manual", ".html");
            page.toFile().deleteOnExit();
            return Files.writeString(page, ManualFiles.html(definitions));
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
        },
        page -> {
          outside.open(page);
          workshop.say(Text.of("console.manual-written", page.toString()));
        },
        trouble -> workshop.say(FileCard.sentence(trouble)));
  }

  boolean isOpen() {
    return about.isOpen();
  }

  /** Tells of what has the focus; of the page where that is nothing by itself. */
  void tell() {
    Node focused = shell.getScene().getFocusOwner();
    List<Topic> topics = new ArrayList<>(Topic.at(focused == null ? shell : focused));
    Topic page = page();
    if (!topics.contains(page) && !shell.cardIsOpen()) {
      topics.add(page);
    }
    if (!topics.isEmpty()) {
      tell(topics.getFirst(), topics);
    }
  }

  private Topic page() {
    return Topic.sheet(shell.shownSheet().isPresent() ? shell.shown() : "today");
  }

  private void tell(Topic topic, List<Topic> near) {
    String caution =
        shell
            .shownSheet()
            .filter(s -> near.contains(page()))
            .map(s -> Text.of(s.model().caution()))
            .orElseGet(() -> caution(topic));
    HelpPage page = new HelpPage(topic, caution, near, t -> tell(t, near), about::close);
    about.open(page, page.close());
  }

  /** A line of the palette for all that is written about what the machine has. */
  List<Command> topics() {
    return Stream.concat(
            WITHOUT_A_MACHINE.stream(),
            Optional.ofNullable(shell.workshop().opened()).stream()
                .flatMap(o -> o.standings().keySet().stream())
                .map(Station::id))
        .flatMap(Topic::all)
        .map(t ->
            Command.of(
                Message.of(
                    "command.about",
                    Message.verbatim(t.name()),
                    Message.verbatim(Topic.sheet(t.of()).name())),
                () -> tell(t, List.of(Topic.sheet(t.of())))))
        .toList();
  }
}
