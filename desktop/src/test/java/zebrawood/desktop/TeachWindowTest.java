package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import zebrawood.controller.ControllerStation;
import zebrawood.controller.Corner;
import zebrawood.controller.Dialect;
import zebrawood.controller.Dialect.PrintedRole;
import zebrawood.controller.Role;
import zebrawood.controller.WireSyntax;
import zebrawood.controller.WireSyntax.RefusalText;
import zebrawood.desktop.controller.CornerIfKnown;
import zebrawood.desktop.controller.IfKnown;
import zebrawood.desktop.controller.PolicyIfKnown;
import zebrawood.desktop.controller.UnitsIfKnown;
import zebrawood.devices.controller.Faults;
import zebrawood.devices.controller.ServedController;
import zebrawood.devices.controller.SimulatedController;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.records.json.RecordJson;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;

/** A controller that nobody has met: taught from what it prints, then commissioned end to end. */
class TeachWindowTest extends WindowTest {
  private static final Dialect RILL = rill();
  private ServedController served;

  private static Dialect rill() {
    Map<String, String> bits = Map.of("on", "1", "off", "0");
    Map<String, PrintedRole> roles = new LinkedHashMap<>();
    roles.put("top-power-word", PrintedRole.number("a1"));
    roles.put("least-power-word", PrintedRole.number("a2"));
    roles.put("laser-follows-motion", PrintedRole.choice("a3", bits));
    roles.put("homing", PrintedRole.choice("b1", bits));
    roles.put(
        "home-corner",
        PrintedRole.choice(
            "b2",
            Map.of("front-left", "0", "front-right", "1", "rear-left", "2", "rear-right", "3")));
    roles.put("hard-limits", PrintedRole.choice("b3", bits));
    roles.put("soft-limits", PrintedRole.choice("b4", bits));
    roles.put("travel-x", PrintedRole.number("c1"));
    roles.put("travel-y", PrintedRole.number("c2"));
    return new Dialect(
        "Rill",
        "~{key} is {value}",
        "~{key} becomes {value}",
        Optional.of(List.of(";")),
        roles,
        Optional.of(
            new WireSyntax(
                WireSyntax.EndOfLine.CR,
                115_200,
                15,
                true,
                true,
                "tell" + WireSyntax.END,
                List.of("so"),
                List.of(new RefusalText("not", "it will not")),
                List.of(new RefusalText("help", "it found no switch")),
                Optional.of("%"),
                Optional.of("({state} {x} {y})"),
                Map.of(
                    WireSyntax.STANDING, List.of("rest"),
                    WireSyntax.MOVING, List.of("run"),
                    WireSyntax.ALARM, List.of("shut")),
                Optional.of("seek" + WireSyntax.END),
                Optional.of("ride {x} {y} {speed}" + WireSyntax.END),
                Optional.of("!"),
                Optional.of("&"),
                Optional.of("^"),
                Optional.of("open" + WireSyntax.END),
                Optional.of("burn {word}" + WireSyntax.END),
                Optional.of("cool" + WireSyntax.END),
                Optional.of("stay {seconds}" + WireSyntax.END),
                Optional.empty())));
  }

  @Override
  protected void prepare(Path workshopFile) {
    try (Workshop workshop = ((Opening.Opened) Workshop.open(workshopFile)).workshop()) {
      workshop.record(
          new Machine(
              "moss",
              "Moss",
              Build.GANTRY_WITH_HEAD_MODULE,
              new Source(SourceKind.DIODE, 10, 450),
              60,
              40,
              BedSupport.SHIMS,
              0.3),
          "EH",
          clock.instant());
    }
  }

  @AfterEach
  void unplug() throws IOException {
    if (served != null) {
      served.close();
    }
  }

  private void set(String field, String words) {
    onInterface(() -> {
      ((TextInputControl) node("#controller-" + field)).setText(words);
      return null;
    });
  }

  private String said() {
    return ((Labeled) node("#status")).getText();
  }

  /** What the manual says beyond what was proposed. */
  private void lookUpInTheManual() {
    set("dialect-name", RILL.name());
    set("dialect-write-line", RILL.writeLine());
    set("dialect-remark", ";");
    RILL.roles()
        .forEach((role, said) -> {
          set("role-" + role, said.key());
          said.values()
              .orElse(Map.of())
              .forEach((meaning, printed) -> set("role-" + role + "-" + meaning, printed));
        });
    WireSyntax talk = RILL.talk().orElseThrow();
    Map<String, String> commands = new LinkedHashMap<>();
    commands.put("ask-settings", talk.askSettings());
    commands.put("ask-state", talk.askState().orElseThrow());
    commands.put("state-line", talk.stateLine().orElseThrow());
    commands.put("home", talk.home().orElseThrow());
    commands.put("jog", talk.jog().orElseThrow());
    commands.put("hold", talk.hold().orElseThrow());
    commands.put("cancel-motion", talk.cancelMotion().orElseThrow());
    commands.put("stop-now", talk.stopNow().orElseThrow());
    commands.put("clear-alarm", talk.clearAlarm().orElseThrow());
    commands.put("beam-on", talk.beamOn().orElseThrow());
    commands.put("beam-off", talk.beamOff().orElseThrow());
    commands.put("dwell", talk.dwell().orElseThrow());
    commands.put("ends", "so");
    commands.put("refusals", "not => it will not");
    commands.put("alarms", "help => it found no switch");
    commands.put("state-standing", "rest");
    commands.put("state-moving", "run");
    commands.put("state-alarm", "shut");
    commands.put("baud", "115200");
    commands.put("longest-answer", "15");
    commands.forEach((name, text) -> set("talk-" + name, text));
    choose("#controller-talk-end-of-line", WireSyntax.EndOfLine.CR);
    choose("#controller-talk-alone", IfKnown.YES);
    choose("#controller-talk-from-home", IfKnown.YES);
  }

  @Test
  void taughtThenCommissioned() throws IOException {
    SimulatedController controller =
        new SimulatedController(
            new SimulatedController.Frame(60, 40, true, Corner.FRONT_LEFT),
            RILL,
            Map.of(Role.TOP_POWER_WORD, "4000", Role.TRAVEL_X, "60", Role.TRAVEL_Y, "40"),
            Faults.NONE);
    served = ServedController.onSocket(controller, 6);
    keys(KeyCode.CONTROL, KeyCode.DIGIT3);
    unfold();
    set("dump", controller.settings().dump());
    settle();
    assertThat(page()).contains("Read in its manual how it prints its settings");
    assertThat(disabled("#primary")).as("nothing is left as fitting").isTrue();

    set("top-word", "4000");
    press("#dialect-teach");
    assertThat(status()).contains("lines are alike", "until you say yes");
    assertThat(words("#controller-dialect-setting-line")).as("only proposed").isEmpty();
    assertThat(words("#controller-role-travel-x")).as("only proposed").isEmpty();
    assertThat(page()).contains("proposed c1, since its value is 60");
    assertThat(disabled("#primary")).as("nothing is judged on a proposal").isTrue();
    reopen();
    keys(KeyCode.CONTROL, KeyCode.DIGIT3);
    unfold();
    assertThat(shows("#confirm-travel-x")).as("kept until it is answered").isTrue();
    press("#confirm-line");
    assertThat(words("#controller-dialect-setting-line")).contains("{key}", "{value}");
    press("#confirm-travel-x");
    assertThat(words("#controller-role-travel-x")).as("by its value").isEqualTo("c1");
    onInterface(() -> {
      node("#confirm-travel-y").requestFocus();
      return null;
    });
    keys(KeyCode.Y);
    assertThat(words("#controller-role-travel-y")).isEqualTo("c2");
    press("#deny-top-power-word");
    assertThat(words("#controller-role-top-power-word")).as("said no to").isEmpty();
    assertThat(shows("#confirm-top-power-word")).isFalse();
    assertThat(words("#controller-role-homing")).as("nothing speaks for it").isEmpty();

    set("dialect-setting-line", RILL.settingLine());
    lookUpInTheManual();
    set("top-word", "1000");
    choose("#controller-switches", IfKnown.YES);
    choose("#controller-home", CornerIfKnown.FRONT_LEFT);
    choose("#controller-units", UnitsIfKnown.MM);
    choose("#controller-policy", PolicyIfKnown.MATCH_SOFTWARE);
    Path file = this.file.resolveSibling("rill.json");
    set("dump", "");
    onInterface(() -> {
      ((TextInputControl) node("#dialect-file")).setText(file.toString());
      return null;
    });
    press("#dialect-export");
    assertThat(RecordJson.read(Files.readString(file), Dialect.class)).isEqualTo(RILL);
    set("dialect-setting-line", "");
    press("#dialect-import");
    assertThat(words("#controller-dialect-setting-line")).isEqualTo(RILL.settingLine());

    onInterface(() -> {
      ((ComboBox<?>) node("#controller-port")).getEditor().setText("127.0.0.1:" + served.port());
      return null;
    });
    press("#controller-read");
    until("it is read", () -> said().contains("settings read"));
    assertThat(page()).contains("100 % in the software reaches only 25.0 % of the laser");
    press("#controller-write");
    press("#confirm-go");
    signIfAsked();
    until("it is written", () -> said().contains("Written and read back"));
    settle();
    assertThat(controller.settings().is(Role.SOFT_LIMITS, Role.ON)).isTrue();
    assertThat(controller.settings().is(Role.LASER_FOLLOWS_MOTION, Role.ON)).isTrue();
    assertThat(controller.settings().number(Role.TOP_POWER_WORD, 0, 1e6)).hasValue(1000);
    press("#controller-corners");
    press("#confirm-go");
    until("it has been there", () -> said().contains("all four corners"));
    assertThat(controller.furthestMm()).containsExactly(55.0, 35.0);
    onInterface(() -> {
      List.copyOf(app.scene().getRoot().lookupAll(".proof-answer"))
          .forEach(a -> ((Button) a).fire());
      return null;
    });
    settle();
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    until("it holds", () -> app.model().opened().standing(ControllerStation.STATION).holds());
    reopen();
    keys(KeyCode.CONTROL, KeyCode.DIGIT3);
    unfold();
    assertThat(words("#controller-dialect-write-line"))
        .as("kept with the machine")
        .isEqualTo(RILL.writeLine());
  }

  /** A list of bare numbers: the line that changed while one named switch was flipped is it. */
  @Test
  void aSwitchIsTaughtByWhatChanges() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT3);
    unfold();
    set("dump", "20=1\n21=0\n30=60\n31=40\n");
    settle();
    press("#change-remember");
    assertThat(said()).contains("How a line is printed is not known yet");
    press("#dialect-teach");
    press("#confirm-line");
    settle();
    press("#change-remember");
    assertThat(said()).contains("Remembered: 4 lines");
    set("dump", "20=1\n21=0\n30=60\n31=40\n");
    settle();
    press("#change-what");
    assertThat(shows("#confirm-laser-follows-motion")).as("nothing changed").isFalse();
    set("dump", "20=1\n21=1\n30=60\n31=40\n");
    settle();
    press("#change-what");
    press("#confirm-laser-follows-motion");
    assertThat(words("#controller-role-laser-follows-motion")).isEqualTo("21");
    assertThat(words("#controller-role-laser-follows-motion-on")).isEqualTo("1");
    assertThat(words("#controller-role-laser-follows-motion-off")).isEqualTo("0");
  }
}
