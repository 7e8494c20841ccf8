package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.AtMachine;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.stations.StationList;
import zebrawood.ledger.Ledger;
import zebrawood.quantity.DisplayUnits;

/** What every station's model does, without a window. */
class StationModelsTest {
  static List<String> stations() {
    return StationList.ALL.stream().map(d -> d.station().id()).toList();
  }

  private static StationDefinition definition(String id) {
    return StationList.ALL.stream()
        .filter(d -> d.station().id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private static StationModel<?, ?> work(String id, DisplayUnits units) {
    return definition(id)
        .open(new AtMachine(new Ledger(Models.ALDER, List.of()), units, Clock.systemUTC()));
  }

  @ParameterizedTest
  @MethodSource("stations")
  void valuesAreTheSameInEveryUnitAndWhatIsNotKnownIsHarmless(String station) {
    StationForm form = work(station, DisplayUnits.METRIC).form();
    form.allAtOnce(() ->
        form.fields()
            .filter(QuantityField.class::isInstance)
            .forEach(f -> ((QuantityField) f).set(7)));
    Map<String, String> kept = form.typed();
    DisplayUnits other =
        DisplayUnits.METRIC
            .with(DisplayUnits.Length.INCH)
            .with(DisplayUnits.Temperature.FAHRENHEIT)
            .with(DisplayUnits.Speed.MM_PER_MINUTE);
    form.setUnits(other);
    form.fields()
        .filter(QuantityField.class::isInstance)
        .map(QuantityField.class::cast)
        .filter(f -> f.problem().isEmpty() && f.value().isPresent())
        .forEach(f -> assertThat(f.number()).as(f.name()).isEqualTo(7));
    StationForm again = work(station, other).form();
    again.type(form.typed());
    assertThat(again.typed()).isEqualTo(form.typed());
    form.setUnits(DisplayUnits.METRIC);
    assertThat(form.typed()).isEqualTo(kept);

    Map<String, String> strange = new HashMap<>(kept);
    strange.replaceAll((name, words) -> "no such thing");
    strange.put("of.a.newer.version", "stays");
    StationModel<?, ?> work = work(station, DisplayUnits.METRIC);
    work.form().type(strange);
    assertThat(work.solved()).as("of what is no figure nothing follows").isEmpty();
    assertThat(work.form().typed()).containsEntry("of.a.newer.version", "stays");
  }
}
