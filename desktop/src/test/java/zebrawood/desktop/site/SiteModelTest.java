package zebrawood.desktop.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.desktop.Models.ALDER;
import static zebrawood.desktop.Models.advice;
import static zebrawood.desktop.Models.answerAll;
import static zebrawood.desktop.Models.finding;
import static zebrawood.desktop.Models.found;
import static zebrawood.desktop.Models.refusal;
import static zebrawood.desktop.Models.said;
import static zebrawood.desktop.Models.waitsFor;

import java.lang.reflect.Proxy;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.Models;
import zebrawood.desktop.form.ProofField.Answer;
import zebrawood.devices.site.StandInRoom;
import zebrawood.devices.site.StandInRoom.Fault;
import zebrawood.measure.Verdict;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.picture.Canvas;
import zebrawood.site.SiteReadings.Item;

class SiteModelTest {
  private static final String[] ROOM_CIRCUIT_AND_EYES = {
    "reading.room",
    "20",
    "reading.humidity",
    "50",
    "reading.clearance",
    "300",
    "volts",
    "230",
    "breaker",
    "16",
    "load.1",
    "1200",
    "beam",
    "6",
    "from.1",
    "9000",
    "to.1",
    "11000",
    "density.1",
    "6"
  };
  private static final String[] DUCT = {
    "flow", "300", "bore.1", "125", "length.1", "3", "bends.1", "1",
    "fanFlow.1", "0", "fanPa.1", "500", "fanFlow.2", "700", "fanPa.2", "0"
  };
  private final SiteModel work = new SiteModel(ALDER, DisplayUnits.METRIC);

  private void type(String... pairs) {
    Models.type(work, pairs);
  }

  @Test
  void nothingHoldsWhoseFiguresWereNeverRead() {
    assertThat(finding(work).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    type("reading.earth", "0,12");
    answerAll(work, Answer.YES);
    assertThat(finding(work).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    type(ROOM_CIRCUIT_AND_EYES);
    assertThat(finding(work).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    type(DUCT);
    assertThat(finding(work).verdict()).as("%s", advice(work)).isEqualTo(Verdict.WITHIN);
    assertThat(work.proofs.of(Item.DOOR)).isNull();
    assertThat(work.proofs.of(Item.SIGN)).isNull();
  }

  @Test
  void aPartThatIsBegunIsNeededWhole() {
    type("bore.1", "125");
    assertThat(waitsFor(work)).isEqualTo("Air asked for");
    type("flow", "350", "length.1", "3");
    assertThat(waitsFor(work)).isEqualTo("Bends of piece 1");
    type("bends.1", "2");
    assertThat(finding(work).duct()).isPresent();
    type("from.1", "9000");
    assertThat(waitsFor(work)).isEqualTo("Filter 1 to");
  }

  @Test
  void aDataSheetsDiameterBecomesTheStandards() {
    type("beam", "14.142");
    double standard = found(work).readings().eyewear().orElseThrow().beamDiameterMm();
    assertThat(standard).isCloseTo(10, within(1e-3));
    assertThat(finding(work).eyewear().orElseThrow().covered()).isFalse();
    type("from.1", "9000", "to.1", "11000", "density.1", "5");
    assertThat(finding(work).eyewear().orElseThrow().covered()).isTrue();
  }

  @Test
  void aRisingCurveAndAnEarthThatIsNoNumberAreRefusedInWords() {
    type("reading.earth", "good");
    assertThat(refusal(work)).startsWith("Earth: good is no number.");
    type("reading.earth", "0.1", "bore.1", "125", "length.1", "3", "bends.1", "1", "flow", "300");
    type("fanFlow.1", "0", "fanPa.1", "100", "fanFlow.2", "300", "fanPa.2", "200");
    assertThat(refusal(work)).contains("a curve that falls as the flow grows");
  }

  @Test
  void whatIsTypedIsWhatIsFilledAgainAndOnlyEarthAndProofsAreReadAnew() {
    type(
        "reading.earth",
        "0.2",
        "volts",
        "230",
        "breaker",
        "16",
        "load.1",
        "1200",
        "wall.1",
        "SLACK");
    type(DUCT);
    answerAll(work, Answer.YES);
    work.proofs.of(Item.STRAPS).set(false);
    SiteModel other = new SiteModel(ALDER, DisplayUnits.METRIC);
    other.form().type(work.form().typed());
    assertThat(other.form().typed()).isEqualTo(work.form().typed());
    assertThat(other.outcome()).isEqualTo(work.outcome());
    other.form().clearReadings();
    assertThat(other.form().nothingRead()).isTrue();
    assertThat(other.form().typed()).containsEntry("load.1", "1200");
    assertThat(other.proofs.of(Item.STRAPS).isEmpty()).isTrue();
  }

  @Test
  void asManyLoadsAndPiecesAsThereAre() {
    for (int i = 1; i <= 12; i++) {
      type("load." + i, "100");
    }
    assertThat(waitsFor(work)).as("nobody said what the socket gives").isEqualTo("Supply");
    type("volts", "230", "breaker", "16", "loadA.1", "4");
    assertThat(found(work).readings().feed().circuit().orElseThrow().loads()).hasSize(13);
    assertThat(found(work).finding().circuit().orElseThrow().amps())
        .as("1200 W and 4 A at 230 V")
        .isCloseTo(1200 / 230.0 + 4, org.assertj.core.api.Assertions.within(1e-9));
    SiteModel other = new SiteModel(ALDER, DisplayUnits.METRIC);
    other.form().type(work.form().typed());
    assertThat(other.form().typed()).isEqualTo(work.form().typed());
  }

  @Test
  void roomWayInAndWeightAreNeededWholeOnceBegun() {
    type("reading.earth", "0.1", "way.1.first", "900");
    assertThat(waitsFor(work)).isEqualTo("Bare machine, long");
    type("way.1.second", "2000", "bare.length", "1280", "bare.width", "840", "bare.height", "1060");
    answerAll(work, Answer.YES);
    assertThat(finding(work).wayIn().orElseThrow().spares().getFirst().machineMm()).isEqualTo(60);
    type("crate.length", "1500", "crate.width", "950", "crate.height", "1300");
    assertThat(advice(work).getFirst()).startsWith("Unpack before the door 1");
    type("mass", "160", "floor", "120", "crate.length", "", "crate.width", "", "crate.height", "");
    assertThat(finding(work).verdict()).isEqualTo(Verdict.STOP);
    type("floor", "", "reading.room", "40", "reading.humidity", "50");
    assertThat(advice(work)).contains("Cool the room: 40 °C, window 10 to 35 °C.");
    type("parts", "lens, none");
    assertThat(refusal(work)).contains("lens, none");
  }

  @Test
  void stepsAreCountedAndNoLength() {
    type("bare.length", "1280", "bare.width", "840", "bare.height", "1060");
    type("way.1.kind", "STEPS", "way.1.first", "180", "way.1.second", "3 mm");
    assertThat(refusal(work)).contains("how many");
    type("way.1.second", "3");
    assertThat(finding(work).wayIn()).isPresent();
  }

  @Test
  void pulsesRaiseTheDensity() {
    type("beam", "6", "divergence", "2");
    double steady = finding(work).eyewear().orElseThrow().requiredOpticalDensity();
    assertThat(finding(work).hazardDistance().orElseThrow().alongBeamM()).isPresent();
    type("pulse.energy", "20000");
    assertThat(waitsFor(work)).isEqualTo("Pulse length");
    type("pulse.duration", "100", "pulse.repetition", "50");
    assertThat(finding(work).eyewear().orElseThrow().requiredOpticalDensity())
        .isGreaterThan(steady);
  }

  @Test
  void theRunIsUnderPressureBehindTheBlower() {
    type(DUCT);
    assertThat(drawn()).contains("duct-suction").doesNotContain("duct-pressure");
    type("blowerAt", "MACHINE");
    assertThat(drawn()).contains("duct-pressure").doesNotContain("duct-suction");
    type("blowerAt", "MIDWAY");
    assertThat(drawn()).contains("duct-pressure", "duct-suction");
  }

  /** The looks that the picture uses. */
  private Set<String> drawn() {
    Set<String> looks = new HashSet<>();
    record Plain() implements Canvas.Mark {
      @Override
      public Canvas.Mark state(String name, boolean on) {
        return this;
      }
    }
    work.draw(
        (Canvas)
            Proxy.newProxyInstance(
                getClass().getClassLoader(),
                new Class<?>[] {Canvas.class},
                (proxy, method, given) -> {
                  if (given == null) {
                    return method.getName().equals("width") ? 380.0 : 330.0;
                  }
                  looks.add(String.valueOf(given[given.length - 1]));
                  return new Plain();
                }));
    return looks;
  }

  @Test
  void theStandInRoomIsPutInOrderByTheAdvice() {
    for (int number = 0; number < 20; number++) {
      SiteModel practised = new SiteModel(ALDER, DisplayUnits.METRIC);
      Models.type(practised, ROOM_CIRCUIT_AND_EYES);
      Models.type(practised, DUCT);
      SitePractice practice = new SitePractice(practised);
      practice.start(new StandInRoom(EnumSet.allOf(Fault.class), number));
      practice.readAll();
      assertThat(finding(practised).verdict()).isEqualTo(Verdict.STOP);
      assertThat(advice(practised)).anyMatch(a -> a.contains("earth"));
      practice.obey(found(practised));
      practice.readAll();
      assertThat(said(practice.words().orElseThrow()))
          .startsWith("In order. Rounds: 1; faults left: 0");
    }
  }

  /** A thin beam of the same power asks for no more than one that nobody measured. */
  @Test
  void ofAnUnknownBeamTheWorstIsJudged() {
    type("from.1", "9000", "to.1", "11000", "density.1", "6");
    double worst = found(work).finding().eyewear().orElseThrow().requiredOpticalDensity();
    type("beam", "1");
    double thin = found(work).finding().eyewear().orElseThrow().requiredOpticalDensity();
    type("beam", "12");
    double wide = found(work).finding().eyewear().orElseThrow().requiredOpticalDensity();
    assertThat(worst).isGreaterThanOrEqualTo(thin).isGreaterThan(wide);
  }
}
