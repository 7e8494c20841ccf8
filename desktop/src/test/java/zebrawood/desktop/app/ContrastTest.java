package zebrawood.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.paint.Color;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Every colour of words against every ground that it stands on (WCAG 2.2, 1.4.3). */
class ContrastTest {
  private static final Pattern TOKEN = Pattern.compile("-([a-z0-9-]+): (#[0-9A-Fa-f]{6})");
  private static final double LEAST = 4.5;

  private static final Map<String, List<String>> WORDS_ON =
      Map.of(
          "ink", List.of("paper", "card", "field", "wash", "note", "caution-fill", "ember-soft"),
          "soft", List.of("paper", "card", "field", "wash", "note"),
          "hold", List.of("paper", "card", "note"),
          "due", List.of("paper", "card", "note"),
          "out", List.of("paper", "card", "note"),
          "on-primary", List.of("primary"),
          "on-grain", List.of("grain", "grain2"),
          "on-grain-soft", List.of("grain", "grain2"),
          "plaque", List.of("grain", "grain2"));

  private static Map<String, Color> tokens(String sheet) throws IOException {
    Map<String, Color> tokens = new HashMap<>();
    try (var in = ContrastTest.class.getResourceAsStream("/zebrawood/desktop/look/" + sheet)) {
      Matcher m = TOKEN.matcher(new String(in.readAllBytes(), StandardCharsets.UTF_8));
      while (m.find()) {
        tokens.put(m.group(1), Color.web(m.group(2)));
      }
    }
    return tokens;
  }

  private static double linear(double channel) {
    return channel <= 0.04045 ? channel / 12.92 : Math.pow((channel + 0.055) / 1.055, 2.4);
  }

  private static double luminance(Color c) {
    return 0.2126 * linear(c.getRed())
        + 0.7152 * linear(c.getGreen())
        + 0.0722 * linear(c.getBlue());
  }

  private static double contrast(Color one, Color other) {
    double a = luminance(one);
    double b = luminance(other);
    return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
  }

  @ParameterizedTest
  @ValueSource(strings = {"light.css", "dark.css"})
  void wordsAreReadOnEveryGround(String sheet) throws IOException {
    assertThat(contrast(Color.BLACK, Color.WHITE)).isEqualTo(21);
    Map<String, Color> tokens = tokens(sheet);
    WORDS_ON.forEach((words, grounds) ->
        grounds.forEach(ground ->
            assertThat(contrast(tokens.get(words), tokens.get(ground)))
                .as("%s on %s in %s", words, ground, sheet)
                .isGreaterThanOrEqualTo(LEAST)));
  }
}
