package zebrawood.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.DisabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;

/** The launcher in a checkout of its own, with a Java that only pretends and takes its time. */
@DisabledOnOs(OS.WINDOWS)
class LauncherTest {
  private static final String JAVA =
      """
      #!/usr/bin/env bash
      for argument in "$@"; do
        case "$argument" in
          -XX:AOTCacheOutput=*) sleep 1; printf trained >"${argument#*=}"; exit 0 ;;
          -XX:AOTCache=*) [ "$(cat "${argument#*=}")" = trained ] || exit 9 ;;
        esac
      done
      echo ran
      """;

  @TempDir Path folder;

  private static void program(Path at, String text) throws IOException {
    Files.createDirectories(at.getParent());
    Files.writeString(at, text);
    assertThat(at.toFile().setExecutable(true)).isTrue();
  }

  /** Built, never started: what is missing is only the cache of quick starts. */
  private Path checkout() throws IOException {
    Path here = folder.resolve("here");
    Files.createDirectories(here);
    Files.writeString(here.resolve("pom.xml"), "<project/>");
    for (String module : List.of("core", "records", "devices", "desktop")) {
      Files.createDirectories(here.resolve(module).resolve("src/main"));
    }
    program(here.resolve("zebrawood"), Files.readString(Path.of("../zebrawood")));
    Path app = here.resolve("desktop/target/app");
    for (String jar : List.of("lib/a.jar", "toolkit/b.jar")) {
      Files.createDirectories(app.resolve(jar).getParent());
      Files.writeString(app.resolve(jar), jar);
    }
    Files.writeString(app.resolve("built"), "");
    Path jdk = folder.resolve("jdk");
    program(jdk.resolve("bin/java"), JAVA);
    program(jdk.resolve("bin/javac"), "#!/usr/bin/env bash\n");
    Files.writeString(jdk.resolve("release"), "JAVA_VERSION=\"25.0.3\"\n");
    return here;
  }

  private Process start(Path here) throws IOException {
    ProcessBuilder builder =
        new ProcessBuilder(here.resolve("zebrawood").toString(), "demo")
            .redirectErrorStream(true)
            .redirectOutput(Files.createTempFile(folder, "out", ".txt").toFile());
    builder.environment().put("JAVA_HOME", folder.resolve("jdk").toString());
    return builder.start();
  }

  @Test
  void twoFirstLaunchesAtTheSameMomentBothRun() throws IOException, InterruptedException {
    Path here = checkout();
    List<Process> both = List.of(start(here), start(here), start(here));
    for (Process one : both) {
      assertThat(one.waitFor(60, TimeUnit.SECONDS)).isTrue();
      assertThat(one.exitValue()).isZero();
    }
    try (Stream<Path> outs = Files.list(folder)) {
      assertThat(outs.filter(f -> f.toString().endsWith(".txt")))
          .hasSize(3)
          .allSatisfy(f -> assertThat(Files.readString(f).strip()).isEqualTo("ran"));
    }
    try (Stream<Path> left = Files.list(here.resolve("desktop/target/app"))) {
      assertThat(left.map(f -> f.getFileName().toString()))
          .containsExactlyInAnyOrder("lib", "toolkit", "built", "window.aot", "window.aot.print");
    }
  }
}
