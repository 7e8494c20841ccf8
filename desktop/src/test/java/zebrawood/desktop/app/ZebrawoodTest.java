package zebrawood.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.desktop.demo.DemoWorkshop;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;

/** The command as the launcher runs it: a process of its own, its streams and its exit code. */
class ZebrawoodTest {
  @TempDir Path folder;

  private record Ran(int code, String out, String err) {}

  private Ran run(String input, Map<String, String> environment, String... args)
      throws IOException, InterruptedException {
    List<String> command = new ArrayList<>();
    command.add(ProcessHandle.current().info().command().orElseThrow());
    command.add("--enable-native-access=ALL-UNNAMED");
    command.addAll(
        List.of("-cp", System.getProperty("java.class.path"), Zebrawood.class.getName()));
    command.addAll(List.of(args));
    File out = folder.resolve("out").toFile();
    File err = folder.resolve("err").toFile();
    File in = Files.writeString(folder.resolve("in"), input).toFile();
    ProcessBuilder builder =
        new ProcessBuilder(command).redirectInput(in).redirectOutput(out).redirectError(err);
    builder.environment().remove("DISPLAY");
    builder.environment().remove("WAYLAND_DISPLAY");
    builder.environment().put("XDG_DATA_HOME", folder.resolve("data").toString());
    builder.environment().putAll(environment);
    Process process = builder.start();
    assertThat(process.waitFor(240, TimeUnit.SECONDS)).isTrue();
    return new Ran(
        process.exitValue(), Files.readString(out.toPath()), Files.readString(err.toPath()));
  }

  @Test
  void theExampleInTheReadmeIsSolved() throws IOException, InterruptedException {
    String readme = Files.readString(Path.of("../README.md"), StandardCharsets.UTF_8);
    Matcher example = Pattern.compile("echo '(\\{.*})' \\| ./zebrawood solve bed").matcher(readme);
    assertThat(example.find()).isTrue();
    Ran ran = run(example.group(1), Map.of(), "solve", "bed");
    assertThat(ran.code()).isZero();
    assertThat(ran.out()).contains("\"verdict\":\"adjust\"");
    assertThat(ran.err()).isEmpty();
  }

  @Test
  void aRefusalIsOneSentenceAndExitCodeTwo() throws IOException, InterruptedException {
    Ran ran = run("{\"points\":3}", Map.of(), "solve", "bed");
    assertThat(ran.code()).isEqualTo(2);
    assertThat(ran.out()).isEmpty();
    assertThat(ran.err().strip().lines()).hasSize(1);
    assertThat(ran.err()).contains("points is 3, accepted is a list").doesNotContain("Exception");
    Ran unknown = run("", Map.of(), "--nonsense");
    assertThat(unknown.code()).isEqualTo(2);
    assertThat(unknown.err().strip().lines()).hasSize(1);
  }

  @Test
  void helpAndVersionSayWhatThereIs() throws IOException, InterruptedException {
    assertThat(run("", Map.of(), "--help").out()).contains("--workshop", "demo", "solve");
    assertThat(run("", Map.of(), "--version").out()).startsWith("zebrawood ");
  }

  @Test
  void withoutADisplayTheWorkshopSaysSoAndTheDemoRendersItsViews()
      throws IOException, InterruptedException {
    for (String display : List.of("", ":4711")) {
      Ran window = run("", Map.of("DISPLAY", display), "--workshop", "w.zebrawood");
      assertThat(window.code()).isEqualTo(2);
      assertThat(window.err()).startsWith("There is no display");
    }
    Ran demo = run("", Map.of("DISPLAY", ":4711"), "demo");
    assertThat(demo.code()).as(demo.err()).isZero();
    Path pictures = Path.of(demo.out().strip().replaceAll(".* are in ", ""));
    String[] names = pictures.toFile().list();
    assertThat(names).contains("today.png", "bed.png", "focus.png").hasSizeLessThan(20);
    for (String name : names) {
      BufferedImage picture = ImageIO.read(pictures.resolve(name).toFile());
      assertThat(picture.getWidth()).isEqualTo(1280);
      assertThat(picture.getHeight()).isEqualTo(800);
      Set<Integer> colours = new HashSet<>();
      for (int i = 0; i < 1280 * 800; i += 97) {
        colours.add(picture.getRGB(i % 1280, i / 1280));
      }
      assertThat(colours.size()).as(name).isGreaterThan(8);
    }
  }

  @Test
  void theDemoIsAlwaysTheSameWorkshop() {
    Path one = folder.resolve("one.zebrawood");
    Path two = folder.resolve("two.zebrawood");
    var now = java.time.Instant.parse("2026-06-01T12:00:00Z");
    DemoWorkshop.write(one, now);
    DemoWorkshop.write(two, now);
    try (Workshop a = ((Opening.Opened) Workshop.open(one)).workshop();
        Workshop b = ((Opening.Opened) Workshop.open(two)).workshop()) {
      assertThat(a.machines()).isEqualTo(b.machines());
      assertThat(a.machines().readable()).hasSize(7);
      for (var machine : a.machines().readable()) {
        assertThat(a.history(machine.id())).isEqualTo(b.history(machine.id())).isNotEmpty();
      }
    }
  }
}
