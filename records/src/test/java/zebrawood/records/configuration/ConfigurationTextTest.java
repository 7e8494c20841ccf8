package zebrawood.records.configuration;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.controller.Dialect;
import zebrawood.controller.NamedFields;
import zebrawood.controller.Settings;

class ConfigurationTextTest {
  private static final String EXPECTED =
      "mark / field size = 110\nmark / laser type = fibre\noffset x = -0.2\n";

  private static final Dialect PAGE =
      new Dialect(
          "page", NamedFields.LINE, NamedFields.LINE, Optional.empty(), Map.of(), Optional.empty());

  private static String read(String text) {
    return ConfigurationText.read(text).map(NamedFields::text).orElse("");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{\"mark\": {\"field size\": 110, \"laser type\": \"fibre\"}, \"offset x\": -0.2}",
        "[mark]\n; a remark\nfield size=110\nlaser type = fibre\n[]\n",
        "<machine><mark field='x'/></machine>",
        "mark / field size;110\n\"mark / laser type\" ; \"fibre\"\noffset x;-0.2\n",
        "mark / field size,110\r\nmark / laser type,fibre\r\noffset x,-0.2\r\n",
        "mark / field size: 110\nmark / laser type: \"fibre\",\noffset x: -0.2",
        "<?xml version=\"1.0\"?>\n<all><p name=\"mark / field size\" value=\"110\"/>"
            + "<p value=\"fibre\" Key=\"mark / laser type\"/><p id=\"offset x\" val=\"-0.2\"/></all>"
      })
  void everyUsualKindIsNamesAndValues(String text) {
    if (text.startsWith("[mark]")) {
      assertThat(read(text)).isEqualTo("mark / field size = 110\nmark / laser type = fibre\n");
    } else if (text.startsWith("<machine>")) {
      assertThat(read(text)).isEqualTo("mark / field = x\n");
    } else {
      assertThat(read(text)).isEqualTo(EXPECTED);
    }
  }

  @Test
  void elementsHaveTheirPathAsName() {
    assertThat(
            read("<all><mark><field><size> 110\n </size></field><kind>fibre</kind></mark></all>"))
        .isEqualTo("mark / field / size = 110\nmark / kind = fibre\n");
    assertThat(read("{\"axes\": [{\"reach\": 400}, {\"reach\": 300}]}"))
        .isEqualTo("axes / 1 / reach = 400\naxes / 2 / reach = 300\n");
  }

  /** Nothing outside is fetched, nothing grows without end. */
  @Test
  void whatIsMeantToHurtDoesNot() {
    String laughs = "<!DOCTYPE a [<!ENTITY b \"ha\"><!ENTITY c \"&b;&b;&b;\">]><a><d>&c;</d></a>";
    assertThat(read(laughs)).doesNotContain("haha");
    assertThat(read("<a><!-- --><b>".repeat(20_000))).isEmpty();
    assertThat(read("[{\"a\":".repeat(20_000))).isEmpty();
    assertThat(read("a,b\n".repeat(100_000)).length()).isLessThan(1_000_000);
    assertThat(read("")).isEmpty();
    assertThat(read("not one of these")).isEmpty();
  }

  @Test
  void whateverIsPastedItEnds() {
    Random random = new Random(8);
    String letters = "{}[]<>/=\"':;,&!?-ab1 \n\t";
    org.junit.jupiter.api.Assertions.assertTimeoutPreemptively(
        Duration.ofSeconds(60),
        () -> {
          for (int n = 0; n < 20_000; n++) {
            StringBuilder text = new StringBuilder();
            for (int i = random.nextInt(200); i >= 0; i--) {
              text.append(letters.charAt(random.nextInt(letters.length())));
            }
            ConfigurationText.read(text.toString())
                .ifPresent(f -> {
                  Map<String, String> filled = new HashMap<>(f.values());
                  filled.values().removeIf(String::isEmpty);
                  if (!filled.isEmpty()) {
                    assertThat(Settings.parse(f.text(), PAGE).values())
                        .as(text.toString())
                        .containsAllEntriesOf(filled);
                  }
                });
          }
        });
  }

  /** A pasted table takes its key, not the words beside it; its words still tell. */
  @Test
  void aTableOfKeyNameAndValueTakesTheKey() {
    for (String between : java.util.List.of("\t", ";", ",", " | ")) {
      String table =
          "number#name#value#unit\n100#steps across#80.5#1/mm\n132#travel x#400#mm\n30#top#1000#\n"
              .replace("#", between);
      NamedFields read = ConfigurationText.read(table).orElseThrow();
      assertThat(read.values())
          .as(between)
          .containsExactly(
              java.util.Map.entry("100", "80.5"),
              java.util.Map.entry("132", "400"),
              java.util.Map.entry("30", "1000"));
      assertThat(read.beside().get("132")).isEqualTo("travel x mm");
    }
    assertThat(ConfigurationText.read("100,a,b\n101,c,d\n")).as("no value in it").isEmpty();
    assertThat(ConfigurationText.read("7,a,1\n7,b,2\n")).as("a key twice").isEmpty();
  }
}
