package zebrawood.desktop.app;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import zebrawood.desktop.manual.ManualFiles;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.text.Text;
import zebrawood.records.file.WholeFile;
import zebrawood.words.Message;

/** Writes the manual: into a folder as plain pages, or into one HTML file. */
@Command(name = "manual", mixinStandardHelpOptions = true)
final class ManualCommand implements Callable<Integer> {
  @Parameters(paramLabel = "FOLDER|FILE.html")
  private Path target;

  @Option(names = "--pictures", paramLabel = "FOLDER")
  private Path pictures;

  @Override
  public Integer call() throws IOException {
    boolean onePage = target.toString().toLowerCase(Locale.ROOT).endsWith(".html");
    if (Files.exists(target) && (onePage || !Files.isDirectory(target))) {
      System.err.println(Text.of("console.file-there", Message.quoted(target.toString())));
      return Zebrawood.NOT_POSSIBLE;
    }
    if (onePage) {
      byte[] html = ManualFiles.html(StationList.ALL).getBytes(StandardCharsets.UTF_8);
      WholeFile.writeBytes(target, out -> out.write(html));
    } else {
      ManualFiles.write(StationList.ALL, target, pictures == null ? target : pictures);
    }
    System.out.println(Text.of("console.manual-written", target.toString()));
    return 0;
  }
}
