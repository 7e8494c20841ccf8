package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.help.HowTo;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Station;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.quantity.Quantity;

/** Every field of every station is written about, whole, and everything written is whole. */
class TopicsTest {
  private static Stream<Machine> machines() {
    return Stream.of(Build.values())
        .flatMap(build ->
            Stream.of(SourceKind.values())
                .flatMap(kind ->
                    Stream.of(BedSupport.values()).map(support -> machine(build, kind, support))));
  }

  private static Machine machine(Build build, SourceKind kind, BedSupport support) {
    return new Machine(
            "id",
            "Alder",
            build,
            new Source(kind, kind.usualWatts(), kind.usualWavelengthNm()),
            600,
            400,
            support,
            0.3)
        .withFittings(List.of(Fitting.values()));
  }

  @Test
  void everyFieldOfEveryStationIsWrittenAbout() {
    Set<String> without = new TreeSet<>();
    Set<String> seen = new TreeSet<>();
    machines()
        .forEach(machine -> {
          Ledger ledger = new Ledger(machine, List.of());
          for (StationDefinition definition : StationList.ALL) {
            if (definition.station().applies().test(machine)) {
              Models.open(definition, ledger)
                  .form()
                  .fields()
                  .map(f -> f.label().key())
                  .forEach(key -> {
                    seen.add(key);
                    if (Topic.of(key).isEmpty()) {
                      without.add(key);
                    }
                  });
            }
          }
        });
    assertThat(seen).hasSizeGreaterThan(200);
    assertThat(without).isEmpty();
  }

  /** Words that say in what something is read; they tell units of different kinds apart. */
  private static final Map<String, Pattern> UNIT_WORDS =
      Map.of(
          "length", words("millimetres?|mm|metres?|inch(es)?|thousandths?"),
          "current", words("amperes?|milliamperes?|currents?"),
          "power", words("watts?"),
          "voltage", words("volts?"),
          "resistance", words("ohms?"),
          "percent", words("per cent|percent|%"),
          "temperature", words("degrees|celsius|kelvins?"),
          "time", words("seconds?|minutes?|hours?"),
          "pressure", words("pascals?|bars?"));

  private static final Map<Quantity, String> KINDS =
      Map.of(
          Quantity.CURRENT, "current",
          Quantity.SMALL_CURRENT, "current",
          Quantity.POWER, "power",
          Quantity.VOLTAGE, "voltage",
          Quantity.RESISTANCE, "resistance",
          Quantity.PERCENT, "percent",
          Quantity.TEMPERATURE, "temperature");

  private static Pattern words(String any) {
    return Pattern.compile("(?i)(?<![\\p{L}])(?:" + any + ")(?![\\p{L}])");
  }

  private static Stream<Field> fields() {
    return machines()
        .flatMap(machine -> {
          Ledger ledger = new Ledger(machine, List.of());
          return StationList.ALL.stream()
              .filter(d -> d.station().applies().test(machine))
              .flatMap(d -> Models.open(d, ledger).form().fields());
        });
  }

  /** F1 on a field in amperes speaks of amperes, not of watts, nor of "how many times". */
  @Test
  void whatIsWrittenOfAFieldIsInItsUnit() {
    Set<String> wrong = new TreeSet<>();
    fields()
        .filter(QuantityField.class::isInstance)
        .map(QuantityField.class::cast)
        .filter(f -> KINDS.containsKey(f.quantity()))
        .forEach(f -> {
          Topic topic = Topic.of(f.label().key()).orElseThrow();
          String text = String.join(" ", topic.what(), topic.how());
          String kind = KINDS.get(f.quantity());
          boolean own = UNIT_WORDS.get(kind).matcher(text).find();
          List<String> others =
              UNIT_WORDS.entrySet().stream()
                  .filter(e -> !e.getKey().equals(kind) && !e.getKey().equals("time"))
                  .filter(e -> e.getValue().matcher(text).find())
                  .map(Map.Entry::getKey)
                  .toList();
          if (!others.isEmpty() && !own || text.contains("how many times")) {
            wrong.add(f.label().key() + " is " + kind + ", F1 speaks of " + others + ": " + text);
          }
        });
    assertThat(wrong).isEmpty();
  }

  /** What is written of a row names each of its columns. */
  private static final Set<String> ROWS =
      Set.of(
          "focus.rung",
          "focus.stage",
          "power.before-row",
          "power.curve-row",
          "power.dial-row",
          "power.probe-row",
          "site.field.fan",
          "site.field.pulse");

  @Test
  void noTwoQuantitiesAreWrittenAboutInOnePlace() {
    Map<String, Set<String>> quantities = new TreeMap<>();
    fields()
        .filter(QuantityField.class::isInstance)
        .map(QuantityField.class::cast)
        .forEach(f ->
            quantities
                .computeIfAbsent(
                    Topic.of(f.label().key()).orElseThrow().key(), k -> new TreeSet<>())
                .add(f.quantity().canonical().symbol()));
    quantities.keySet().removeAll(ROWS);
    assertThat(quantities).allSatisfy((topic, units) -> assertThat(units).as(topic).hasSize(1));
  }

  /**
   * Every role, every field of how it is talked to, every line of the card has words of its own.
   */
  @Test
  void nothingThatAHandDoesOtherwiseSharesItsWords() {
    Set<String> shared = new TreeSet<>();
    fields()
        .map(f -> f.label().key())
        .filter(key ->
            key.startsWith("controller.role.")
                || key.startsWith("controller.field.talk.")
                || key.startsWith("start.line."))
        .filter(key -> !key.startsWith("start.line.lesson"))
        .forEach(key -> {
          String topic = Topic.of(key).orElseThrow().key();
          if (Set.of("controller.role", "controller.field.talk", "start.line").contains(topic)) {
            shared.add(key);
          }
        });
    assertThat(shared).isEmpty();
    for (String button :
        List.of("port", "read", "write", "home", "corners", "shot", "restore", "teach", "forget")) {
      assertThat(Topic.of("controller.button." + button))
          .contains(new Topic("controller.button." + button));
    }
  }

  @Test
  void everythingWrittenIsWholeAndShort() {
    List<String> of =
        Stream.concat(
                StationList.stations().stream().map(Station::id),
                Stream.of("climate", "machine", "event", "today", "workshop"))
            .toList();
    int written = 0;
    for (String each : of) {
      for (Topic topic : Topic.all(each).toList()) {
        written++;
        assertThat(topic.drawing()).as(topic.key()).isIn((Object[]) HowTo.values());
        assertThat(
                Stream.of(HowTo.values())
                    .filter(h ->
                        Text.words()
                            .has(
                                "help."
                                    + topic.key()
                                    + ".how."
                                    + h.name().toLowerCase(Locale.ROOT))))
            .as(topic.key())
            .hasSize(1);
        for (String words :
            List.of(topic.what(), topic.how(), topic.why(), topic.wrong(), topic.source())) {
          assertThat(words).as(topic.key()).matches("(?s)\\p{L}.*|[0-9\"].*").endsWith(".");
          assertThat(words.length()).as(topic.key()).isBetween(5, 260);
        }
        assertThat(topic.name()).as(topic.key()).isNotBlank().doesNotContain("%");
      }
    }
    assertThat(written).isGreaterThan(600);
  }

  @Test
  void aLongerKeyBelongsToWhatItBeginsWith() {
    assertThat(Topic.of("bed.place.front-left")).contains(new Topic("bed.place"));
    assertThat(Topic.of("controller.field.commandedX"))
        .contains(new Topic("controller.field.commanded"));
    assertThat(Topic.of("start.line.emergency-stop-pump"))
        .contains(new Topic("start.line.emergency-stop"));
    assertThat(Topic.of("bed.nothing.at-all")).isEmpty();
  }
}
