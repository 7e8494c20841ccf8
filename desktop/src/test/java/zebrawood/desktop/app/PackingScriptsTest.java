package zebrawood.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What packs and starts the program elsewhere, on folders that only pretend to be the program. */
@EnabledOnOs(OS.LINUX)
class PackingScriptsTest {
  private static final Path SCRIPTS = Path.of("../scripts").toAbsolutePath().normalize();
  private static final int LONGEST_S = 60;

  @TempDir Path folder;

  private record Said(int code, String text) {}

  private Said run(Map<String, String> with, String... command)
      throws IOException, InterruptedException {
    Path out = Files.createTempFile(folder, "out", ".txt");
    ProcessBuilder builder =
        new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(out.toFile());
    builder.environment().put("JAR", System.getProperty("java.home") + "/bin/jar");
    builder.environment().putAll(with);
    Process process = builder.start();
    process.getOutputStream().close();
    assertThat(process.waitFor(LONGEST_S, TimeUnit.SECONDS)).isTrue();
    return new Said(process.exitValue(), Files.readString(out));
  }

  private static void jar(Path at, String... entries) throws IOException {
    Files.createDirectories(at.getParent());
    try (OutputStream file = Files.newOutputStream(at);
        ZipOutputStream zip = new ZipOutputStream(file)) {
      for (String entry : entries) {
        zip.putNextEntry(new ZipEntry(entry));
        zip.write(("text of " + entry).getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
      }
    }
  }

  private static void program(Path at, String text) throws IOException {
    Files.createDirectories(at.getParent());
    Files.writeString(at, text);
    assertThat(at.toFile().setExecutable(true)).isTrue();
  }

  /** A folder for Windows as the packing makes it. */
  private Path whole() throws IOException {
    Path app = folder.resolve("zebrawood-win");
    jar(app.resolve("lib/sqlite-jdbc-3.jar"), "org/sqlite/native/Windows/x86_64/sqlitejdbc.dll");
    jar(app.resolve("lib/jSerialComm-2.jar"), "Windows/x86_64/jSerialComm.dll");
    jar(app.resolve("lib/zebrawood-desktop-0.1.0.jar"), "zebrawood/desktop/app/Zebrawood.class");
    for (String part : List.of("base", "graphics", "controls")) {
      jar(app.resolve("toolkit/javafx-" + part + "-26-win.jar"), "glass.dll");
    }
    Files.writeString(app.resolve("zebrawood.bat"), "");
    return app;
  }

  private Said complete(Path app, String system) throws IOException, InterruptedException {
    return run(Map.of(), SCRIPTS.resolve("complete").toString(), app.toString(), system);
  }

  @Test
  void aWholeFolderIsComplete() throws Exception {
    Said said = complete(whole(), "win");
    assertThat(said.text()).isEmpty();
    assertThat(said.code()).isZero();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "lib/jSerialComm-2.jar|serial ports",
        "lib/sqlite-jdbc-3.jar|workshop file",
        "toolkit/javafx-controls-26-win.jar|javafx-controls",
        "zebrawood.bat|start script"
      })
  void whatIsMissingIsNamed(String goneAndSaid) throws Exception {
    String[] parts = goneAndSaid.split("\\|");
    Path app = whole();
    Files.delete(app.resolve(parts[0]));
    Said said = complete(app, "win");
    assertThat(said.code()).isEqualTo(1);
    assertThat(said.text()).contains("missing for win", parts[1]);
  }

  /** The folder for one system has not the libraries of another. */
  @Test
  void anotherSystemsLibrariesAreNotEnough() throws Exception {
    Said said = complete(whole(), "mac-aarch64");
    assertThat(said.code()).isEqualTo(1);
    assertThat(said.text()).contains("javafx-base", "workshop file", "serial ports");
    assertThat(complete(whole(), "amiga").code()).isEqualTo(2);
  }

  @Test
  void theNoticesHaveEachLibraryAndItsLicenceText() throws Exception {
    Path app = folder.resolve("app");
    jar(app.resolve("lib/one-1.2.jar"), "META-INF/LICENSE.txt", "a/B.class");
    jar(app.resolve("lib/two-3.jar"), "a/License.class");
    jar(app.resolve("lib/zebrawood-core-0.1.0.jar"), "META-INF/LICENSE");
    jar(app.resolve("toolkit/three-4.jar"), "META-INF/NOTICE");
    Said said = run(Map.of(), SCRIPTS.resolve("notices").toString(), app.toString());
    assertThat(said.code()).isZero();
    assertThat(said.text())
        .contains("one-1.2\n", "two-3\n", "three-4\n")
        .contains("text of META-INF/LICENSE.txt", "text of META-INF/NOTICE")
        .doesNotContain("zebrawood-core", "text of a/License.class");
  }

  private Said startAny(String version) throws IOException, InterruptedException {
    Path app = folder.resolve("any");
    program(app.resolve("zebrawood"), Files.readString(SCRIPTS.resolve("start-any")));
    Path java = folder.resolve("java");
    program(
        java.resolve("bin/java"),
        "#!/bin/sh\nif [ \"$1\" = --version ]; then echo 'openjdk "
            + version
            + " 2026-01-01'; else echo \"$@\"; fi\n");
    return run(
        Map.of("JAVA_HOME", java.toString()), app.resolve("zebrawood").toString(), "solve", "bed");
  }

  @Test
  void theStartScriptAsksForAJavaThatIsNewEnough() throws Exception {
    Said started = startAny("25.0.3");
    assertThat(started.code()).isZero();
    assertThat(started.text())
        .contains("--module-path", "/any/toolkit", "/any/lib/*", "Zebrawood solve bed");
    Said old = startAny("21.0.1");
    assertThat(old.code()).isEqualTo(2);
    assertThat(old.text()).contains("needs Java 25").doesNotContain("solve");
  }

  @Test
  void theStartScriptOfWindowsHasItsLineEndsAndAsksToo() throws IOException {
    String script = Files.readString(SCRIPTS.resolve("start-any.bat"));
    assertThat(script.replace("\r\n", "")).doesNotContain("\n");
    assertThat(script).contains("Zebrawood needs Java 25", "%~dp0toolkit", "exit /b 2");
  }

  @Test
  void nothingIsPackedOverWhatIsThereOrWithHalfAJdk() throws Exception {
    Path app = folder.resolve("packed");
    jar(app.resolve("lib/zebrawood-desktop-0.1.0.jar"), "a");
    List<String> command =
        new ArrayList<>(
            List.of(
                SCRIPTS.resolve("package").toString(),
                folder.resolve("jdk").toString(),
                app.toString(),
                app.toString()));
    Said there = run(Map.of(), command.toArray(String[]::new));
    assertThat(there.code()).isEqualTo(2);
    assertThat(there.text()).contains("is not empty");
    command.set(3, folder.resolve("new").toString());
    Said half = run(Map.of(), command.toArray(String[]::new));
    assertThat(half.code()).isEqualTo(2);
    assertThat(half.text()).contains("no jlink");
    assertThat(folder.resolve("new")).doesNotExist();
  }
}
