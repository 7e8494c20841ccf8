package zebrawood.devices.controller;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.controller.Dialect;
import zebrawood.controller.Dialect.Said;
import zebrawood.controller.Role;
import zebrawood.controller.Talk;
import zebrawood.controller.Talk.Meant;

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

  private static Map<String, Said> roles() {
    Map<String, Said> roles = new LinkedHashMap<>();
    roles.put("top-power-word", Said.number("beam top"));
    roles.put("least-power-word", Said.number("beam least"));
    roles.put("laser-follows-motion", Said.choice("beam follows", YES_NO));
    roles.put("homing", Said.choice("corner search", YES_NO));
    roles.put(
        "home-corner",
        Said.choice(
            "corner",
            Map.of(
                "front-left", "near left",
                "front-right", "near right",
                "rear-left", "far left",
                "rear-right", "far right")));
    roles.put("hard-limits", Said.choice("end switches", YES_NO));
    roles.put("soft-limits", Said.choice("stay inside", YES_NO));
    roles.put("travel-x", Said.number("reach across"));
    roles.put("travel-y", Said.number("reach deep"));
    roles.put("steps-per-mm-x", Said.number("steps across"));
    roles.put("steps-per-mm-y", Said.number("steps deep"));
    roles.put("most-speed-x", Said.number("speed across"));
    roles.put("most-speed-y", Said.number("speed deep"));
    roles.put("acceleration-x", Said.number("push across"));
    roles.put("acceleration-y", Said.number("push deep"));
    roles.put("idle-delay", Said.number("rest after"));
    roles.put("report-units", Said.choice("speak in", Map.of("mm", "mm", "inch", "inches")));
    return roles;
  }

  private static Talk talk() {
    return new Talk(
        Talk.EndOfLine.LF,
        115_200,
        20,
        false,
        true,
        "list" + Talk.END,
        List.of("done"),
        List.of(
            new Meant("no: unknown", "it does not know this line"),
            new Meant("no: not before", "soft limits need homing switched on first"),
            new Meant("no: too long", "the line is too long"),
            new Meant("no: locked", "it is locked in alarm: home or clear it first"),
            new Meant("no: outside", "the move would leave the travel"),
            new Meant("no: search is off", "homing is switched off")),
        List.of(
            new Meant(
                "alarm: no switch",
                "homing found no switch: not wired, unplugged, or it looks at the wrong corner"),
            new Meant(
                "alarm: stopped",
                "it was stopped while it moved; its place is lost, home it again")),
        Optional.of("how" + Talk.END),
        Optional.of("is {state} at {x} / {y}"),
        Map.of(
            Talk.STANDING, List.of("still"),
            Talk.MOVING, List.of("going", "searching", "waiting", "pausing"),
            Talk.ALARM, List.of("alarmed")),
        Optional.of("search" + Talk.END),
        Optional.of("go {x} {y} at {speed}" + Talk.END),
        Optional.of("wait" + Talk.END),
        Optional.of("drop" + Talk.END),
        Optional.of("stop" + Talk.END),
        Optional.of("clear" + Talk.END),
        Optional.of("light {word}" + Talk.END),
        Optional.of("dark" + Talk.END),
        Optional.of("pause {seconds}" + Talk.END),
        Optional.of("999"));
  }
}
