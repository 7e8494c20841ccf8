package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import zebrawood.desktop.form.ProofField.Answer;
import zebrawood.desktop.sheet.Outcome;
import zebrawood.desktop.sheet.StationWork;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Finding;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/** Types into a station's form without a window, and says what it says. */
public final class Works {
  public static final Machine ALDER =
      new Machine(
          "id",
          "Alder",
          Build.GANTRY_WITH_MIRRORS,
          new Source(SourceKind.CO2_GLASS_TUBE, 90, 10_600),
          700,
          500,
          BedSupport.SCREWS,
          0.3);

  private Works() {}

  /** Names and texts in turn. */
  public static void type(StationWork<?, ?> work, String... pairs) {
    Map<String, String> typed = new TreeMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      typed.put(pairs[i], pairs[i + 1]);
    }
    work.form().type(typed);
  }

  public static void answerAll(StationWork<?, ?> work, Answer answer) {
    work.form().quietly(() -> work.form().proofs().toList().forEach(p -> p.set(answer)));
  }

  public static String waitsFor(StationWork<?, ?> work) {
    assertThat(work.outcome()).isInstanceOf(Outcome.Waiting.class);
    return said(((Outcome.Waiting<?, ?>) work.outcome()).next());
  }

  public static String refusal(StationWork<?, ?> work) {
    assertThat(work.outcome()).isInstanceOf(Outcome.Refused.class);
    return Phrasebook.ENGLISH.sentence(((Outcome.Refused<?, ?>) work.outcome()).because());
  }

  public static <R, F extends Finding> F finding(StationWork<R, F> work) {
    return found(work).finding();
  }

  public static <R, F extends Finding> Outcome.Found<R, F> found(StationWork<R, F> work) {
    assertThat(work.outcome()).isInstanceOf(Outcome.Found.class);
    return work.found().orElseThrow();
  }

  public static List<String> advice(StationWork<?, ?> work) {
    return finding(work).advice(Phrasebook.ENGLISH);
  }

  public static List<String> warnings(StationWork<?, ?> work) {
    return finding(work).warnings(Phrasebook.ENGLISH);
  }

  public static <R, F extends Finding> List<String> summary(StationWork<R, F> work) {
    return work.summary(found(work)).stream().map(Phrasebook.ENGLISH::sentence).toList();
  }

  /** The stand-in prints its settings in no language but its own. */
  public static List<String> standInWords() {
    try (InputStream in =
        Works.class.getResourceAsStream("/zebrawood/desktop/controller/stand-in.json")) {
      return List.of(new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\\W+"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  public static String said(Message message) {
    return Phrasebook.ENGLISH.say(message);
  }
}
