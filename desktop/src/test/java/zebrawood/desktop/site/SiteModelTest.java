package zebrawood.desktop.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Clock;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.sheet.Proven;
import zebrawood.devices.site.StandInRoom.Fault;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Verdict;
import zebrawood.records.site.SiteRecord;
import zebrawood.site.SiteReadings.Item;

class SiteModelTest {
  private static final Machine ALDER =
      new Machine(
          "id",
          "Alder",
          Build.GANTRY_WITH_MIRRORS,
          new Source(SourceKind.CO2_GLASS_TUBE, 90, 10_600),
          700,
          500,
          BedSupport.SCREWS,
          0.3);

  private final SiteModel model = new SiteModel(ALDER);

  private void type(String... pairs) {
    Map<String, String> typed = new HashMap<>(model.typed());
    for (int i = 0; i < pairs.length; i += 2) {
      typed.put(pairs[i], pairs[i + 1]);
    }
    model.type(typed);
  }

  private SiteOutcome.Found found() {
    assertThat(model.outcomeProperty().get()).isInstanceOf(SiteOutcome.Found.class);
    return (SiteOutcome.Found) model.outcomeProperty().get();
  }

  private void proveAll() {
    model.proofs().values().forEach(p -> p.set(Proven.YES));
  }

  @Test
  void nothingButEarthAndProofsHasToBeTyped() {
    assertThat(found().finding().verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    type("reading.earth", "0,12");
    proveAll();
    assertThat(found().finding().verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(model.proofs()).doesNotContainKey(Item.DOOR_AND_SIGN);
  }

  @Test
  void aPartThatIsBegunIsNeededWhole() {
    type("bore.1", "125");
    assertThat(model.outcomeProperty().get()).isEqualTo(new SiteOutcome.Waiting("Air asked for"));
    type("flow", "350", "length.1", "3");
    assertThat(model.outcomeProperty().get())
        .isEqualTo(new SiteOutcome.Waiting("Bends of piece 1"));
    type("bends.1", "2");
    assertThat(found().finding().duct()).isPresent();
    type("from.1", "9000");
    assertThat(model.outcomeProperty().get()).isEqualTo(new SiteOutcome.Waiting("Beam, 1/e²"));
  }

  @Test
  void aDataSheetsDiameterBecomesTheStandards() {
    type("beam", "14.142");
    double standard = found().readings().eyewear().orElseThrow().beamDiameterMm();
    assertThat(standard).isCloseTo(10, within(1e-3));
    assertThat(found().finding().eyewear().orElseThrow().covered()).isFalse();
    type("from.1", "9000", "to.1", "11000", "density.1", "5");
    assertThat(found().finding().eyewear().orElseThrow().covered()).isTrue();
  }

  @Test
  void aRisingCurveAndAnEarthThatIsNoNumberAreRefusedInWords() {
    type("reading.earth", "good");
    assertThat(model.outcomeProperty().get())
        .isInstanceOfSatisfying(
            SiteOutcome.Refused.class,
            r -> assertThat(r.because()).startsWith("Earth: \"good\" is not usable."));
    type("reading.earth", "0.1", "bore.1", "125", "length.1", "3", "bends.1", "1", "flow", "300");
    type("fanFlow.1", "0", "fanPa.1", "100", "fanFlow.2", "300", "fanPa.2", "200");
    assertThat(model.outcomeProperty().get())
        .isInstanceOfSatisfying(
            SiteOutcome.Refused.class,
            r -> assertThat(r.because()).contains("a curve that falls as the flow grows"));
  }

  @Test
  void whatIsTypedIsWhatIsFilledAgainAndOnlyEarthAndProofsAreReadAnew() {
    type(
        "reading.earth", "0.2", "load.1", "1200", "bore.1", "125", "length.1", "3", "bends.1", "1");
    type("flow", "300", "wall.1", "SLACK");
    proveAll();
    model.proofs().get(Item.STRAPS).set(Proven.NO);
    SiteModel other = new SiteModel(ALDER);
    other.type(model.typed());
    assertThat(other.typed()).isEqualTo(model.typed());
    assertThat(other.outcomeProperty().get()).isEqualTo(model.outcomeProperty().get());
    SiteRecord kept = SiteRecord.of(SiteRecord.readings(model.typed(), found().readings()));
    assertThat(kept.readings()).isEqualTo(found().readings());
    other.clearReadings();
    assertThat(other.nothingRead()).isTrue();
    assertThat(other.typed()).containsEntry("load.1", "1200");
    assertThat(other.proofs().get(Item.STRAPS).get()).isEqualTo(Proven.NOT_YET);
  }

  @Test
  void roomWayInAndWeightAreNeededWholeOnceBegun() {
    type("reading.earth", "0.1", "way.1.first", "900");
    assertThat(model.outcomeProperty().get()).isEqualTo(new SiteOutcome.Waiting("Machine length"));
    type("way.1.second", "2000", "bare.length", "1280", "bare.width", "840", "bare.height", "1060");
    proveAll();
    assertThat(found().finding().wayIn().orElseThrow().spares().getFirst().machineMm())
        .isEqualTo(60);
    type("crate.length", "1500", "crate.width", "950", "crate.height", "1300");
    assertThat(found().finding().advice().getFirst()).startsWith("Unpack before the door 1");
    type("mass", "160", "floor", "120", "crate.length", "", "crate.width", "", "crate.height", "");
    assertThat(found().finding().verdict()).isEqualTo(Verdict.STOP);
    type("floor", "", "reading.room", "40", "reading.humidity", "50");
    assertThat(found().finding().advice()).contains("Cool the room: 40 °C, window 10 to 35 °C.");
    type("parts", "lens, none");
    assertThat(model.outcomeProperty().get())
        .isInstanceOfSatisfying(
            SiteOutcome.Refused.class,
            r -> assertThat(r.because()).startsWith("Packing list, line 1 is \"lens, none\""));
  }

  @Test
  void pulsesRaiseTheDensity() {
    type("beam", "6", "divergence", "2");
    double steady = found().finding().eyewear().orElseThrow().requiredOpticalDensity();
    assertThat(found().finding().hazardDistance().orElseThrow().alongBeamM()).isPresent();
    type("pulse.energy", "20000");
    assertThat(model.outcomeProperty().get()).isEqualTo(new SiteOutcome.Waiting("Pulse length"));
    type("pulse.duration", "100", "pulse.repetition", "50");
    assertThat(found().finding().eyewear().orElseThrow().requiredOpticalDensity())
        .isGreaterThan(steady);
  }

  @Test
  void theStandInRoomIsPutInOrderByTheAdvice() {
    for (int number = 0; number < 20; number++) {
      SiteModel practised = new SiteModel(ALDER);
      SitePractice practice = new SitePractice(practised, Clock.systemUTC());
      practice.start(EnumSet.allOf(Fault.class), number);
      practice.readAll();
      SiteOutcome.Found first = (SiteOutcome.Found) practised.outcomeProperty().get();
      assertThat(first.finding().verdict()).isEqualTo(Verdict.STOP);
      assertThat(first.finding().advice()).anyMatch(a -> a.contains("earth"));
      practice.obey(first);
      practice.readAll();
      assertThat(practice.words()).startsWith("In order after 1 rounds");
    }
  }
}
