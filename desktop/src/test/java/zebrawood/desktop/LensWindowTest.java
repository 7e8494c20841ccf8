package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.lens.LensModel;
import zebrawood.ledger.EntryKind;

/** The lens sheet in the window: fitting proven, lenses compared, one chosen for a job. */
class LensWindowTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  @Test
  void aFittingIsProvenAndRecordedOfTheLensThatIsOn() {
    openStation("lens");
    assertThat(page()).contains("with this lens: 2.5 inch").contains("Prove");
    for (String item : new String[] {"orientation", "seat", "tug", "clean"}) {
      press("#proof-" + item);
    }
    assertThat(page()).contains("The lens is in order");
    int before =
        onInterface(
            () -> app.model().opened().ledger().entriesAt(LensModel.DEFINITION.station()).size());
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    signIfAsked();
    until(
        "it is recorded",
        () ->
            app.model().opened().ledger().entriesAt(LensModel.DEFINITION.station()).size()
                == before + 1);
    var entry =
        onInterface(() ->
            app.model().opened().ledger().entriesAt(LensModel.DEFINITION.station()).getLast());
    assertThat(entry.kind()).isEqualTo(EntryKind.AS_LEFT);
    assertThat(entry.subject()).contains("2.5 inch");
  }

  @Test
  void theRackIsComparedForAJob() {
    openStation("lens");
    unfold();
    fill("#lens-thickness", "");
    fill("#lens-finest", "0.12");
    press("#all-figures");
    // Of the demo's rack only the 1.5 inch lens's spot is finer.
    assertThat(page()).contains("For this job: 1.5 inch").contains("coarser than 0.120 mm");
    fill("#lens-finest", "0.05");
    assertThat(page()).contains("No lens of the rack suits all of this job");
    fill("#lens-finest", "");
    fill("#lens-thickness", "18");
    assertThat(page()).contains("Make one pass on scrap").doesNotContain("would lean");
    fill("#lens-trial-depth", "4");
    assertThat(page()).contains("Plan 6 passes").contains("the focus may stay at the surface");
    fill("#lens-most-taper", "0.05");
    assertThat(page()).contains("would lean");
    fill("#lens-beam", "80");
    assertThat(words("#lens-message")).contains("at most the focal length");
  }

  @Test
  void aBeamNobodyToldIsAssumedAndSaysSo() {
    openStation("lens");
    fill("#lens-beam", "");
    assertThat(page()).contains("The beam is assumed: 7.0 mm", "Spot, assumed");
  }
}
