package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.help.HowTo;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Ledger;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;

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
        0.3);
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

  @Test
  void everythingWrittenIsWholeAndShort() {
    List<String> of =
        List.of(
            "bed",
            "mirrors",
            "cooling",
            "climate",
            "start",
            "site",
            "controller",
            "focus",
            "lens",
            "power",
            "field",
            "machine",
            "event",
            "today",
            "workshop");
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
    assertThat(written).isGreaterThan(200);
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
