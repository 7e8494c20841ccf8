package zebrawood.controller;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.controller.Dialect.PrintedRole;

/** Made-up dialects for tests. */
public final class Dialects {
  /** Short words, switches as 1 and 0. */
  public static final Dialect TERSE = terse();

  private Dialects() {}

  private static Dialect terse() {
    Map<String, String> bits = Map.of("on", "1", "off", "0");
    Map<String, PrintedRole> roles = new LinkedHashMap<>();
    roles.put("idle-delay", PrintedRole.number("idle"));
    roles.put("report-units", PrintedRole.choice("tell", Map.of("mm", "mm", "inch", "in")));
    roles.put("soft-limits", PrintedRole.choice("soft", bits));
    roles.put("hard-limits", PrintedRole.choice("hard", bits));
    roles.put("homing", PrintedRole.choice("seek", bits));
    roles.put(
        "home-corner",
        PrintedRole.choice(
            "corner",
            Map.of(
                "front-left", "fl", "front-right", "fr", "rear-left", "rl", "rear-right", "rr")));
    roles.put("top-power-word", PrintedRole.number("top"));
    roles.put("least-power-word", PrintedRole.number("least"));
    roles.put("laser-follows-motion", PrintedRole.choice("follow", bits));
    roles.put(
        "power-sense", PrintedRole.choice("sense", Map.of("rising", "up", "falling", "down")));
    roles.put("steps-per-mm-x", PrintedRole.number("steps_x"));
    roles.put("steps-per-mm-y", PrintedRole.number("steps_y"));
    roles.put("travel-x", PrintedRole.number("reach_x"));
    roles.put("travel-y", PrintedRole.number("reach_y"));
    return new Dialect(
        "Terse",
        "{key}: {value}",
        "set {key} {value}",
        Optional.of(List.of("#")),
        roles,
        Optional.of(talk()));
  }

  private static WireSyntax talk() {
    return new WireSyntax(
        WireSyntax.EndOfLine.LF,
        9_600,
        10,
        true,
        false,
        "show" + WireSyntax.END,
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
