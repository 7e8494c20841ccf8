package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.controller.CornerIfKnown;
import zebrawood.desktop.controller.IfKnown;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.quantity.DisplayUnits;
import zebrawood.words.Phrasebook;

/** A whole visit in inches and degrees Fahrenheit, in English and in a made-up language. */
class VisitWindowTest extends WindowTest {
  private static final DisplayUnits INCHES =
      DisplayUnits.METRIC.with(DisplayUnits.Length.INCH).with(DisplayUnits.Temperature.FAHRENHEIT);
  private static final String PRINTED =
      """
      par beam top = 1000
      par beam least = 0
      par beam follows = yes
      par speak in = mm
      par corner search = yes
      par corner = far left
      par stay inside = yes
      par end switches = yes
      par reach across = 700
      par reach deep = 500
      """;

  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  @AfterEach
  void speakEnglishAgain() {
    Text.use(Phrasebook.ENGLISH);
  }

  private void readAndRecord(String station, KeyCode open, Runnable read) {
    keys(KeyCode.CONTROL, open);
    int before = onInterface(() -> count(station));
    read.run();
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    signIfAsked();
    until(station + " is recorded", () -> count(station) == before + 1);
    settle();
  }

  private int count(String station) {
    return (int) entries().filter(e -> e.stationId().equals(station)).count();
  }

  private Stream<Entry> entries() {
    return app.model().opened().ledger().entries().stream();
  }

  /** The letter for yes is the language's own; the robot has only plain ones. */
  private void answerAll() {
    onInterface(() -> {
      List.copyOf(app.scene().getRoot().lookupAll(".proof-answer"))
          .forEach(answer -> ((Button) answer).fire());
      return null;
    });
    settle();
  }

  private void line(String... words) {
    for (String word : words) {
      typeWords(word);
      keys(KeyCode.ENTER);
    }
  }

  private void readSite() {
    fill("#site-earth", "0.13");
    answerAll();
    unfold();
    fill("#site-fuse-fitted", "16");
    fill("#site-bar", "1.4");
    fill("#site-room", "70");
    fill("#site-humidity", "50");
    fill("#site-clearance", "12");
  }

  /** What it prints is in its own units, whatever the window shows. */
  @SuppressWarnings("unchecked") // its items are what was asked
  private void readController() {
    unfold();
    onInterface(() -> {
      StandInDialect.take(app.scene().getRoot());
      ((ComboBox<IfKnown>) node("#controller-switches")).setValue(IfKnown.YES);
      ((ComboBox<CornerIfKnown>) node("#controller-home")).setValue(CornerIfKnown.REAR_LEFT);
      ((TextInputControl) node("#controller-dump")).setText(PRINTED);
      return null;
    });
    settle();
    answerAll();
  }

  /** The marks of {@link MirrorWindowTest}, in inches. */
  private void readMirrors() {
    line("4 mA");
    line(
        Stream.of("0.5 -0.5 3 -1.5 -1 0 -3.5 2 -3.5 -1 -6 1".split(" "))
            .map(mm -> String.valueOf(Double.parseDouble(mm) / 25.4))
            .toArray(String[]::new));
  }

  /** Bare numbers all along: what is shown is what they mean. */
  private Map<String, Double> visit() {
    onInterface(() -> {
      app.model().unitsProperty().set(INCHES);
      return null;
    });
    readAndRecord("site", KeyCode.DIGIT1, this::readSite);
    readAndRecord(
        "start",
        KeyCode.DIGIT3,
        () -> {
          answerAll();
          fill("#start-coolant", "65");
        });
    readAndRecord(
        "cooling",
        KeyCode.DIGIT2,
        () -> {
          line("70", "45", "65");
          answerAll();
        });
    readAndRecord("controller", KeyCode.DIGIT4, this::readController);
    readAndRecord("mirrors", KeyCode.DIGIT5, this::readMirrors);
    readAndRecord(
        "bed",
        KeyCode.DIGIT6,
        () -> {
          fill("#reading-0-0", "0.248");
          for (String place : List.of("1-0", "2-0", "0-1", "1-1", "2-1")) {
            fill("#reading-" + place, "0.25");
          }
        });
    Map<String, Double> figures = new TreeMap<>();
    for (String station : List.of("site", "start", "cooling", "controller", "mirrors", "bed")) {
      Entry last =
          onInterface(
              () -> entries().filter(e -> e.stationId().equals(station)).toList().getLast());
      for (Figure figure : last.figures()) {
        figures.put(station + "." + figure.id(), figure.value());
      }
    }
    return figures;
  }

  private String sheet() throws IOException {
    Path folder = Files.createTempDirectory("zebrawood-visit");
    keys(KeyCode.CONTROL, KeyCode.P);
    fill("#handover-folder", folder.toString());
    keys(KeyCode.ENTER);
    until("it is written", () -> pages(folder).size() == 2);
    return Files.readString(
        pages(folder).stream().filter(p -> p.toString().endsWith(".html")).findFirst().get());
  }

  private static List<Path> pages(Path folder) {
    try (Stream<Path> all = Files.walk(folder)) {
      return all.filter(p -> p.toString().matches(".*\\.(html|pdf)")).toList();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  /** Figures do not depend on the units in which somebody read. */
  private static void judge(Map<String, Double> figures) {
    assertThat(figures.get("cooling.coolantStart")).isCloseTo(18.333, within(0.001));
    // Magnus by hand: 21.11 °C at 45 % is 8.71 °C.
    assertThat(figures.get("cooling.dewMargin")).isCloseTo(18.333 - 8.71, within(0.1));
    assertThat(figures.get("site.room")).isCloseTo(21.111, within(0.001));
    // The marks furthest apart are (-1, 0) and (-6, 1) mm.
    assertThat(figures.get("mirrors.wander")).isCloseTo(Math.sqrt(26), within(1e-6));
    assertThat(figures).containsEntry("controller.fullPower", 100.0);
    assertThat(figures.values()).isNotEmpty().doesNotContainNull();
  }

  private static org.assertj.core.data.Offset<Double> within(double of) {
    return org.assertj.core.api.Assertions.within(of);
  }

  @Test
  void inInchesAndFahrenheit() throws IOException {
    Map<String, Double> figures = visit();
    judge(figures);
    assertThat(onInterface(() -> entries().toList().getLast().readings()))
        .contains("\"gapMm\":6.35")
        .contains("\"gapMm\":6.2992");
    // A drawing keeps the units of the day on which it was made.
    String settings = "(?s)<div class=\"settings\">.*?</div>";
    assertThat(sheet().replaceAll("(?s)<svg.*?</svg>", "").replaceAll(settings, ""))
        .contains("°F")
        .contains(" in")
        .doesNotContainPattern("[0-9] mm<");
  }

  @Test
  void inAMadeUpLanguageToo() throws IOException {
    onInterface(() -> {
      Text.use(Phrasebook.pseudo());
      return null;
    });
    reopen();
    judge(visit());
    assertThat(sheet()).contains("°F").contains(Phrasebook.pseudo().say("bed.title"));
  }
}
