package zebrawood.controller;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.controller.Dialect.Said;

/** Made-up dialects for tests. */
public final class Dialects {
  /** Short words, switches as 1 and 0. */
  public static final Dialect TERSE = terse();

  private Dialects() {}

  private static Dialect terse() {
    Map<String, String> bits = Map.of("on", "1", "off", "0");
    Map<String, Said> roles = new LinkedHashMap<>();
    roles.put("idle-delay", Said.number("idle"));
    roles.put("report-units", Said.choice("tell", Map.of("mm", "mm", "inch", "in")));
    roles.put("soft-limits", Said.choice("soft", bits));
    roles.put("hard-limits", Said.choice("hard", bits));
    roles.put("homing", Said.choice("seek", bits));
    roles.put(
        "home-corner",
        Said.choice(
            "corner",
            Map.of(
                "front-left", "fl", "front-right", "fr", "rear-left", "rl", "rear-right", "rr")));
    roles.put("top-power-word", Said.number("top"));
    roles.put("least-power-word", Said.number("least"));
    roles.put("laser-follows-motion", Said.choice("follow", bits));
    roles.put("power-sense", Said.choice("sense", Map.of("rising", "up", "falling", "down")));
    roles.put("steps-per-mm-x", Said.number("steps_x"));
    roles.put("steps-per-mm-y", Said.number("steps_y"));
    roles.put("travel-x", Said.number("reach_x"));
    roles.put("travel-y", Said.number("reach_y"));
    return new Dialect(
        "Terse",
        "{key}: {value}",
        "set {key} {value}",
        Optional.of(List.of("#")),
        roles,
        Optional.of(talk()));
  }

  private static Talk talk() {
    return new Talk(
        Talk.EndOfLine.LF,
        9_600,
        10,
        true,
        false,
        "show" + Talk.END,
        List.of("end"),
        List.of(),
        List.of(),
        Optional.empty(),
        Optional.empty(),
        Map.of(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.of("255"));
  }
}
