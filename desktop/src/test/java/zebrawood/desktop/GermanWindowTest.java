package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.regex.Pattern;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.text.Text;
import zebrawood.words.Language;
import zebrawood.words.Phrasebook;

/** The window in German: what is shown, what is typed, and the way to another language. */
class GermanWindowTest extends WindowTest {
  /** English words between blanks; what somebody wrote stands in the demo's own language. */
  private static final Pattern ENGLISH =
      Pattern.compile("(?:^| )(?:the|and|of|is|are|with|for|from|which|that|this)(?= |$)");

  private final Set<String> plain = new LinkedHashSet<>();

  @Override
  protected void prepare(Path workshopFile) {
    Text.use(Text.words().in(Language.GERMAN));
    DemoCopy.write(workshopFile, clock.instant());
  }

  @AfterEach
  void speakEnglishAgain() {
    Text.use(Phrasebook.ENGLISH);
  }

  private void look(String where) {
    settle();
    onInterface(() -> {
      PseudoLanguageWindowTest.words(app.scene().getRoot())
          .filter(said -> said != null && ENGLISH.matcher(said).find())
          .forEach(said -> plain.add(where + ": " + said));
      return null;
    });
  }

  @Test
  void everySheetSpeaksIt() {
    for (var station : onInterface(() -> app.model().opened().standings().sequencedKeySet())) {
      onInterface(() -> {
        app.shell().show(station.id());
        return null;
      });
      unfold();
      look(station.id());
      assertThat(page()).contains(Text.of(station.question()));
    }
    // What somebody noted stands in their own words.
    onInterface(() -> app.model().opened().ledger().events())
        .forEach(e -> plain.removeIf(said -> !e.note().isEmpty() && said.contains(e.note())));
    assertThat(plain).isEmpty();
  }

  @Test
  void aNumberIsTypedWithACommaAndShownWithOne() {
    openStation("bed");
    fill("#bed-tolerance", "0,25");
    assertThat(page()).contains("max. 0,25");
    fill("#bed-tolerance", "a lot");
    assertThat(page()).contains("ist keine Zahl").contains("Erlaubt ist");
    fill("#bed-tolerance", "0,3");
  }

  @Test
  void daysAreTypedAsThere() {
    keys(KeyCode.CONTROL, KeyCode.E);
    fill("#event-at", "3. Mai 8:00");
    keys(KeyCode.ENTER);
    assertThat(page()).doesNotContain("Erlaubt ist eine Zeit");
    keys(KeyCode.ESCAPE);
  }

  @Test
  void anotherLanguageIsChosenInFindOrDoAndKept() {
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("english");
    keys(KeyCode.ENTER);
    until("it is kept", () -> app.model().languageProperty().get() == Language.ENGLISH);
    assertThat(Text.words().language()).isEqualTo(Language.ENGLISH);
    reopen();
    assertThat(page()).contains("Prove again, in this order");
  }
}
