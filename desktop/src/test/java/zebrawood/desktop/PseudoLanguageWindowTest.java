package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.text.Text;
import zebrawood.machine.Machine;
import zebrawood.words.Phrasebook;

/**
 * The whole window in a made-up language: every view of every machine of the demo, every card, and
 * every station's practice. A plain English word there came from no bundle.
 */
class PseudoLanguageWindowTest extends WindowTest {
  private static final Pattern ENGLISH = Pattern.compile("[a-zA-Z]{4,}");

  /** Symbols of units, kinds of files and keys, which are the same in every language. */
  private static final Set<String> SYMBOLS =
      Set.of(
          "mrad",
          "lines",
          "thou",
          "mbar",
          "Ctrl",
          "Home",
          "Enter",
          "https",
          "html",
          "zebrawood",
          "ttyS",
          "ells");

  private final Set<String> plain = new LinkedHashSet<>();

  @Override
  protected void prepare(Path workshopFile) {
    Text.use(Phrasebook.pseudo());
    DemoCopy.write(workshopFile, clock.instant());
  }

  @AfterEach
  void speakEnglishAgain() {
    Text.use(Phrasebook.ENGLISH);
  }

  /** What somebody wrote is in no language but their own. */
  private List<String> ownWords() {
    List<String> own = new ArrayList<>(Models.standInWords());
    app.model().machinesProperty().get().forEach(m -> own.addAll(List.of(m.name().split("\\W+"))));
    app.model().opened().ledger().events().stream()
        .flatMap(e -> Stream.concat(Stream.of(e.note()), e.subject().stream()))
        .forEach(note -> own.addAll(List.of(note.split("\\W+"))));
    app.model().opened().ledger().entries().stream()
        .flatMap(e -> e.subject().stream())
        .forEach(subject -> own.addAll(List.of(subject.split("\\W+"))));
    return own;
  }

  private void look(String where) {
    settle();
    onInterface(() -> {
      app.scene().getRoot().applyCss();
      app.scene().getRoot().layout();
      List<String> own = ownWords();
      words(app.scene().getRoot())
          .filter(w -> w != null)
          .forEach(said -> {
            Matcher m = ENGLISH.matcher(said);
            while (m.find()) {
              if (!SYMBOLS.contains(m.group()) && !own.contains(m.group())) {
                plain.add(where + ": " + said);
              }
            }
          });
      return null;
    });
  }

  /** All that a part of the window says, to eyes and to those who do not see it. */
  static Stream<String> words(Node node) {
    if (!node.isVisible() || node instanceof TextInputControl typed && typed.getId() == null) {
      return Stream.empty();
    }
    Stream<String> own =
        switch (node) {
          case TextInputControl typed -> Stream.of(typed.getPromptText());
          case ComboBox<?> box -> shown(box);
          case Labeled labeled -> Stream.of(labeled.getText());
          case javafx.scene.text.Text text -> Stream.of(text.getText());
          default -> Stream.empty();
        };
    Stream<String> said =
        node instanceof Control control
            ? Stream.of(
                control.getAccessibleText(),
                control.getTooltip() == null ? null : control.getTooltip().getText())
            : Stream.empty();
    Stream<String> below =
        node instanceof Parent parent && !(node instanceof TextInputControl)
            ? parent.getChildrenUnmodifiable().stream().flatMap(PseudoLanguageWindowTest::words)
            : Stream.empty();
    return Stream.of(own, said, below).flatMap(s -> s);
  }

  private static <T> Stream<String> shown(ComboBox<T> box) {
    return box.getConverter() == null
        ? Stream.empty()
        : box.getItems().stream().map(box.getConverter()::toString);
  }

  private void pressIfOffered(String button) {
    if (shows(button) && !disabled(button)) {
      press(button);
    }
  }

  @Test
  void noPlainEnglishIsShown() {
    for (Machine machine : onInterface(() -> app.model().machinesProperty().get())) {
      onInterface(() -> {
        app.model().choose(machine);
        return null;
      });
      until("it is open", () -> app.model().opened().machine().equals(machine));
      look(machine.name() + ", its page");
      for (var station : onInterface(() -> app.model().opened().standings().sequencedKeySet())) {
        onInterface(() -> {
          app.shell().show(station.id());
          return null;
        });
        unfold();
        look(machine.name() + ", " + station.id());
        pressIfOffered("#practise");
        pressIfOffered("#read-all");
        look(machine.name() + ", practice of " + station.id());
        pressIfOffered("#primary");
        look(machine.name() + ", practice of " + station.id() + ", obeyed");
        pressIfOffered("#secondary");
      }
    }
    assertThat(plain).isEmpty();
  }

  private void choose(String name) {
    onInterface(() -> {
      app.model()
          .choose(
              app.model().machinesProperty().get().stream()
                  .filter(m -> m.name().equals(name))
                  .findFirst()
                  .orElseThrow());
      return null;
    });
    until("it is open", () -> app.model().opened().machine().name().equals(name));
    settle();
  }

  /** What is sent is in the controller's language, what it means in the reader's. */
  @Test
  void noCardThatAsksBeforeItSendsShowsPlainEnglish() {
    choose("Tansy");
    keys(KeyCode.CONTROL, KeyCode.DIGIT3);
    unfold();
    press("#practise");
    press("#read-all");
    for (String button : List.of("#controller-write", "#controller-homing", "#controller-shot")) {
      press(button);
      assertThat(shows("#confirm-cancel")).as(button).isTrue();
      look("the card of " + button);
      press("#confirm-cancel");
    }
    assertThat(plain).isEmpty();
  }

  @Test
  void noCardShowsPlainEnglish() {
    keys(KeyCode.CONTROL, KeyCode.K);
    onInterface(() -> {
      // More is there than is to be seen.
      ((ListView<?>) app.scene().lookup(".list-view")).setPrefHeight(2_000);
      return null;
    });
    look("find or do");
    keys(KeyCode.ESCAPE);
    keys(KeyCode.CONTROL, KeyCode.E);
    for (int i = 0; i < 18; i++) {
      look("something happened, line " + i);
      keys(KeyCode.DOWN);
    }
    fill("#event-at", "2030-01-01 10:00");
    look("something happened, refused");
    keys(KeyCode.ESCAPE);
    keys(KeyCode.CONTROL, KeyCode.N);
    look("a new machine");
    keys(KeyCode.ENTER);
    look("a new machine, refused");
    keys(KeyCode.ESCAPE);
    keys(KeyCode.CONTROL, KeyCode.P);
    look("the hand-over sheet");
    keys(KeyCode.ESCAPE);
    press("#status-initials");
    look("initials");
    keys(KeyCode.ESCAPE);
    keys(KeyCode.CONTROL, KeyCode.DIGIT5);
    press("#secondary");
    assertThat(shows("#reason")).isTrue();
    look("a reason is asked for");
    keys(KeyCode.ESCAPE);
    keys(KeyCode.CONTROL, KeyCode.DIGIT6);
    fill("#reading-0-0", "six");
    look("a refused reading");
    fill("#reading-0-0", "6 ells");
    look("an unknown unit");
    fill("#reading-0-0", "99999");
    look("out of range");
    fill("#reading-0-0", "6.2");
    keys(KeyCode.CONTROL, KeyCode.U);
    look("undo");
    assertThat(plain).isEmpty();
  }
}
