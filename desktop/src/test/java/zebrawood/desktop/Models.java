package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import zebrawood.desktop.camera.CameraModel;
import zebrawood.desktop.cards.CardsModel;
import zebrawood.desktop.form.ProofField.Answer;
import zebrawood.desktop.station.AtMachine;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.ledger.Ledger;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Finding;
import zebrawood.quantity.DisplayUnits;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/** Types into a station's form without a window, and says what it says. */
public final class Models {
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

  private Models() {}

  /** Opens a station where nobody looks. */
  public static StationModel<?, ?> open(StationDefinition definition, Ledger ledger) {
    return definition.open(new AtMachine(ledger, DisplayUnits.METRIC, Clock.systemUTC()));
  }

  /** A practice that would photograph reads typed marks: tests that draw many are no slower. */
  public static void readWithoutPictures(StationModel<?, ?> work) {
    if (work instanceof CameraModel) {
      type(work, "way", "MARKS");
    }
    if (work instanceof CardsModel) {
      type(work, "way", "FIGURES");
    }
  }

  /** Names and texts in turn. */
  public static void type(StationModel<?, ?> work, String... pairs) {
    Map<String, String> typed = new TreeMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      typed.put(pairs[i], pairs[i + 1]);
    }
    work.form().type(typed);
  }

  public static void answerAll(StationModel<?, ?> work, Answer answer) {
    work.form().allAtOnce(() -> work.form().proofs().toList().forEach(p -> p.set(answer)));
  }

  public static String waitsFor(StationModel<?, ?> work) {
    assertThat(work.outcome()).isInstanceOf(Outcome.Waiting.class);
    return said(((Outcome.Waiting<?, ?>) work.outcome()).next());
  }

  public static String refusal(StationModel<?, ?> work) {
    assertThat(work.outcome()).isInstanceOf(Outcome.Refused.class);
    return Phrasebook.ENGLISH.sentence(((Outcome.Refused<?, ?>) work.outcome()).because());
  }

  public static <R, F extends Finding> F finding(StationModel<R, F> work) {
    return found(work).finding();
  }

  public static <R, F extends Finding> Outcome.Solved<R, F> found(StationModel<R, F> work) {
    assertThat(work.outcome()).isInstanceOf(Outcome.Solved.class);
    return work.solved().orElseThrow();
  }

  public static List<String> advice(StationModel<?, ?> work) {
    return finding(work).advice(Phrasebook.ENGLISH);
  }

  public static List<String> warnings(StationModel<?, ?> work) {
    return finding(work).warnings(Phrasebook.ENGLISH);
  }

  public static <R, F extends Finding> List<String> summary(StationModel<R, F> work) {
    Outcome.Solved<R, F> solved = found(work);
    return work.visit().said(solved.readings(), solved.finding()).stream()
        .map(Phrasebook.ENGLISH::sentence)
        .toList();
  }

  /** The stand-in prints its settings in no language but its own. */
  public static List<String> standInWords() {
    try (InputStream in =
        Models.class.getResourceAsStream("/zebrawood/desktop/controller/stand-in.json")) {
      return List.of(new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\\W+"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  public static String said(Message message) {
    return Phrasebook.ENGLISH.say(message);
  }
}
