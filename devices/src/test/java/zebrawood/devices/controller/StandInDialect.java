package zebrawood.devices.controller;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.controller.Dialect;
import zebrawood.controller.Dialect.PrintedRole;
import zebrawood.controller.Role;
import zebrawood.controller.WireSyntax;
import zebrawood.controller.WireSyntax.RefusalText;

/** How the simulated controller talks: a language of our own making, of no controller there is. */
public final class StandInDialect {
  private static final Map<String, String> YES_NO = Map.of(Role.ON, "yes", Role.OFF, "no");

  public static final Dialect DIALECT =
      new Dialect(
          "Stand-in",
          "par {key} = {value}",
          "put {key} := {value}",
          Optional.of(List.of("--")),
          roles(),
          Optional.of(talk()));

  private StandInDialect() {}

  private static Map<String, PrintedRole> roles() {
    Map<String, PrintedRole> roles = new LinkedHashMap<>();
    roles.put("top-power-word", PrintedRole.number("beam top"));
    roles.put("least-power-word", PrintedRole.number("beam least"));
    roles.put("laser-follows-motion", PrintedRole.choice("beam follows", YES_NO));
    roles.put("homing", PrintedRole.choice("corner search", YES_NO));
    roles.put(
        "home-corner",
        PrintedRole.choice(
            "corner",
            Map.of(
                "front-left", "near left",
                "front-right", "near right",
                "rear-left", "far left",
                "rear-right", "far right")));
    roles.put("hard-limits", PrintedRole.choice("end switches", YES_NO));
    roles.put("soft-limits", PrintedRole.choice("stay inside", YES_NO));
    roles.put("travel-x", PrintedRole.number("reach across"));
    roles.put("travel-y", PrintedRole.number("reach deep"));
    roles.put("steps-per-mm-x", PrintedRole.number("steps across"));
    roles.put("steps-per-mm-y", PrintedRole.number("steps deep"));
    roles.put("most-speed-x", PrintedRole.number("speed across"));
    roles.put("most-speed-y", PrintedRole.number("speed deep"));
    roles.put("acceleration-x", PrintedRole.number("push across"));
    roles.put("acceleration-y", PrintedRole.number("push deep"));
    roles.put("idle-delay", PrintedRole.number("rest after"));
    roles.put("report-units", PrintedRole.choice("speak in", Map.of("mm", "mm", "inch", "inches")));
    return roles;
  }

  private static WireSyntax talk() {
    return new WireSyntax(
        WireSyntax.EndOfLine.LF,
        115_200,
        20,
        false,
        true,
        "list" + WireSyntax.END,
        List.of("done"),
        List.of(
            new RefusalText("no: unknown", "it does not know this line"),
            new RefusalText("no: not before", "soft limits need homing switched on first"),
            new RefusalText("no: too long", "the line is too long"),
            new RefusalText("no: locked", "it is locked in alarm: home or clear it first"),
            new RefusalText("no: outside", "the move would leave the travel"),
            new RefusalText("no: search is off", "homing is switched off")),
        List.of(
            new RefusalText(
                "alarm: no switch",
                "homing found no switch: not wired, unplugged, or it looks at the wrong corner"),
            new RefusalText(
                "alarm: stopped",
                "it was stopped while it moved; its place is lost, home it again")),
        Optional.of("how" + WireSyntax.END),
        Optional.of("is {state} at {x} / {y}"),
        Map.of(
            WireSyntax.STANDING, List.of("still"),
            WireSyntax.MOVING, List.of("going", "searching", "waiting", "pausing"),
            WireSyntax.ALARM, List.of("alarmed")),
        Optional.of("search" + WireSyntax.END),
        Optional.of("go {x} {y} at {speed}" + WireSyntax.END),
        Optional.of("wait" + WireSyntax.END),
        Optional.of("drop" + WireSyntax.END),
        Optional.of("stop" + WireSyntax.END),
        Optional.of("clear" + WireSyntax.END),
        Optional.of("light {word}" + WireSyntax.END),
        Optional.of("dark" + WireSyntax.END),
        Optional.of("pause {seconds}" + WireSyntax.END),
        Optional.of("999"));
  }
}
