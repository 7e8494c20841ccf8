package zebrawood.desktop.cooling;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.util.EnumSet;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.Proven;
import zebrawood.devices.site.StandInLoop.Fault;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Verdict;
import zebrawood.records.site.CoolingRecord;
import zebrawood.records.site.CoolingSvg;
import zebrawood.site.CoolingReadings.Item;

class CoolingModelTest {
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

  private final CoolingModel model = new CoolingModel(ALDER);

  private void type(String... pairs) {
    Map<String, String> typed = new TreeMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      typed.put(pairs[i], pairs[i + 1]);
    }
    Map<String, String> all = new TreeMap<>(model.typed());
    all.putAll(typed);
    model.type(all);
  }

  private void read(String room, String humidity, String coolant) {
    type("reading.room", room, "reading.humidity", humidity, "reading.coolant", coolant);
  }

  private void proveAll() {
    for (Item item : Item.values()) {
      model.proofs().get(item).set(Proven.YES);
    }
  }

  private CoolingOutcome.Found found() {
    assertThat(model.outcomeProperty().get()).isInstanceOf(CoolingOutcome.Found.class);
    return (CoolingOutcome.Found) model.outcomeProperty().get();
  }

  @Test
  void threeReadingsAndThreeProofsAreEnough() {
    assertThat(model.outcomeProperty().get()).isEqualTo(new CoolingOutcome.Waiting("Room"));
    assertThat(model.nothingRead()).isTrue();
    read("22", "45", "18,5");
    assertThat(found().finding().verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(CoolingAdvice.steps(model.outcomeProperty().get()).getFirst().where())
        .isEqualTo("Prove it");
    proveAll();
    assertThat(found().finding().verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(CoolingAdvice.summary(model.outcomeProperty().get()))
        .startsWith("The coolant is 9.0 K above the dew point of 9.5 °C");
  }

  @Test
  void aBucketIsToldHowLongItLasts() {
    read("22", "45", "20");
    proveAll();
    model.wayProperty().set(CoolingWay.BUCKET);
    assertThat(found().finding().advice().getFirst()).startsWith("Pause after");
    assertThat(found().finding().verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(CoolingAdvice.summary(model.outcomeProperty().get()))
        .contains("comes to rest at 74.5 °C", "litres would last a working day");
  }

  @Test
  void aPullDownIsAllOrNothing() {
    read("22", "45", "20");
    type("reading.from", "28");
    assertThat(model.outcomeProperty().get()).isEqualTo(new CoolingOutcome.Waiting("Pull-down to"));
    type("reading.from", "28", "reading.to", "20", "reading.minutes", "15");
    assertThat(found().finding().chiller()).isPresent();
    type("reading.to", "30");
    assertThat(model.outcomeProperty().get())
        .isInstanceOfSatisfying(
            CoolingOutcome.Refused.class,
            r -> assertThat(r.because()).contains("a pull-down cools"));
  }

  @Test
  void theStandInIsPutInOrderByTheAdvice() {
    for (long seed = 0; seed < 30; seed++) {
      CoolingModel practised = new CoolingModel(ALDER);
      CoolingPractice practice = new CoolingPractice(practised, Clock.systemUTC());
      practice.start(EnumSet.of(Fault.BUBBLE, Fault.INTERLOCK_BRIDGED), seed);
      Verdict verdict = Verdict.STOP;
      int round = 0;
      for (; round < 4 && verdict != Verdict.WITHIN; round++) {
        practice.readAll();
        CoolingOutcome.Found found = (CoolingOutcome.Found) practised.outcomeProperty().get();
        verdict = found.finding().verdict();
        if (round == 0) {
          assertThat(verdict).isEqualTo(Verdict.STOP);
        }
        if (verdict != Verdict.WITHIN) {
          practice.obey(found);
        }
      }
      assertThat(verdict).as("room and loop %s", seed).isEqualTo(Verdict.WITHIN);
      assertThat(practice.words()).startsWith("In order after");
    }
  }

  @Test
  void physicalRangesAreKeptAtTheField() {
    read("22", "120", "20");
    assertThat(model.outcomeProperty().get())
        .isEqualTo(
            new CoolingOutcome.Refused(
                "Humidity: \"120\" is not usable. Accepted is a number from 0 to 100 %."));
    read("warm", "45", "20");
    assertThat(model.outcomeProperty().get()).isInstanceOf(CoolingOutcome.Refused.class);
  }

  @Test
  void fahrenheitIsUnderstoodAndRestated() {
    NumberEntry entry = new NumberEntry("Room", "°C", -40, 60);
    entry.textProperty().set("70 F");
    assertThat(entry.understood()).isEqualTo("Room: 70 F is 21.1 °C");
    entry.textProperty().set("21 °C");
    assertThat(entry.understood()).isEmpty();
    assertThat(entry.value()).hasValue(21);
    entry.textProperty().set("21 K");
    assertThat(entry.value()).isEmpty();
  }

  @Test
  void whatIsTypedIsWhatIsFilledAgainAndKept() {
    read("22", "45", "64 F");
    proveAll();
    model.proofs().get(Item.BUBBLES).set(Proven.NO);
    type("reading.afterHour", "21", "reading.conductivity", "80", "coldest", "-12");
    Map<String, String> typed = model.typed();
    CoolingModel other = new CoolingModel(ALDER);
    other.type(typed);
    assertThat(other.typed()).isEqualTo(typed);
    assertThat(other.outcomeProperty().get()).isEqualTo(model.outcomeProperty().get());
    CoolingRecord kept = CoolingRecord.of(CoolingRecord.readings(typed, found().readings()));
    assertThat(kept.solve()).isEqualTo(found().finding());
    assertThat(kept.typed()).isEqualTo(typed);
    assertThat(CoolingSvg.of(kept)).contains("dew", "coolant 17.8", "after an hour 21.0");
    other.clearReadings();
    assertThat(other.nothingRead()).isTrue();
    assertThat(other.typed()).containsEntry("coldest", "-12");
  }
}
