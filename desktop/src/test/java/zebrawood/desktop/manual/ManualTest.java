package zebrawood.desktop.manual;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.text.Text;

class ManualTest {
  private static final Path DOCS = Path.of("../docs");
  private static final Pattern LINK = Pattern.compile("\\]\\(([^)]+)\\)");

  private static Set<String> pictures() throws IOException {
    try (Stream<Path> files = Files.list(DOCS.resolve("screenshots"))) {
      return files.map(f -> f.getFileName().toString()).collect(Collectors.toSet());
    }
  }

  /** What is kept in docs is what the program writes: {@code ./zebrawood manual docs/manual}. */
  @Test
  void thePagesInDocsAreTheProgramsOwn() throws IOException {
    var pages = ManualFiles.plain(StationList.ALL, pictures(), "../screenshots");
    assertThat(pages).hasSize(StationList.ALL.size() + 5);
    for (var page : pages.entrySet()) {
      Path kept = DOCS.resolve("manual").resolve(page.getKey());
      assertThat(Files.readString(kept)).as(page.getKey()).isEqualTo(page.getValue());
    }
    try (Stream<Path> files = Files.list(DOCS.resolve("manual"))) {
      assertThat(files.map(f -> f.getFileName().toString()).collect(Collectors.toSet()))
          .isEqualTo(pages.keySet());
    }
  }

  @Test
  void everyFigureOfEveryStationIsExplained() {
    for (var station : StationList.stations()) {
      String of = station.id() + ".figure.";
      assertThat(
              Text.words().keys(of).stream().filter(k -> k.substring(of.length()).indexOf('.') < 0))
          .as(station.id())
          .isNotEmpty()
          .allSatisfy(key -> assertThat(Text.words().has(key + ".means")).as(key).isTrue());
    }
  }

  @Test
  void everyLinkAndPictureOfThePagesIsThere() throws IOException {
    for (var page : ManualFiles.plain(StationList.ALL, pictures(), "../screenshots").entrySet()) {
      Matcher link = LINK.matcher(page.getValue());
      while (link.find()) {
        assertThat(DOCS.resolve("manual").resolve(link.group(1))).as(page.getKey()).exists();
      }
    }
  }

  @Test
  void theOneFileIsWellFormedAndHasEveryTopic() throws Exception {
    String html = ManualFiles.html(StationList.ALL);
    Document document =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(
                new ByteArrayInputStream(
                    html.replace("<!DOCTYPE html>", "").getBytes(StandardCharsets.UTF_8)));
    String words = document.getDocumentElement().getTextContent();
    StationList.stations()
        .forEach(s ->
            assertThat(Topic.all(s.id()).map(Topic::wrong))
                .allSatisfy(wrong -> assertThat(words).contains(wrong)));
    Set<String> places = new HashSet<>();
    NodeList headings = document.getElementsByTagName("h1");
    for (int i = 0; i < headings.getLength(); i++) {
      places.add("#" + ((Element) headings.item(i)).getAttribute("id"));
    }
    NodeList links = document.getElementsByTagName("a");
    for (int i = 0; i < links.getLength(); i++) {
      assertThat(places).contains(((Element) links.item(i)).getAttribute("href"));
    }
    assertThat(words).contains(Text.of("manual.title"));
  }

  private static String page(String name) {
    return ManualFiles.plain(StationList.ALL, Set.of(), "").get(name + ".md");
  }

  /** Where kinds of machines are told otherwise, each is named; one caution stands by itself. */
  @Test
  void cautionsNameTheMachinesThatTheyAreOf() {
    assertThat(page("bed"))
        .contains("> Galvo head over a fixed table: Before you loosen anything")
        .contains("> Gantry with mirrors, gantry with the laser on its head");
    assertThat(page("fault")).contains("\n> " + Text.of("fault.caution"));
    // A camera or a rotary is seldom there: its caution is.
    assertThat(page("camera")).contains("\n> " + Text.of("camera.caution"));
    assertThat(page("rotary")).contains("\n> " + Text.of("rotary.caution"));
  }

  @Test
  void theCustomersPageHasTheLinesOfTheGoCard() {
    assertThat(page("for-the-customer"))
        .contains(
            Text.of("help.start.line.emergency-stop.what"),
            Text.of("help.start.line.extinguisher.what"))
        .doesNotContain("%s");
  }

  @Test
  void whichWayTellsWhatIsFitted() {
    assertThat(page("which-way-for-which-machine"))
        .contains("| Camera | if fitted |", "| Field | \u2013 | \u2013 | \u2713 | \u2013 |");
  }

  /** No page links to what is only drawn when there is a picture. */
  @Test
  void withoutPicturesThereAreNone() {
    ManualFiles.plain(StationList.ALL, Set.of(), "")
        .values()
        .forEach(p -> assertThat(p).doesNotContain("!["));
  }
}
