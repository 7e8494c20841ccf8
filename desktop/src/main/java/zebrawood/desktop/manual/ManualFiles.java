package zebrawood.desktop.manual;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.desktop.help.HowTo;
import zebrawood.desktop.manual.Page.Block;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.text.Text;
import zebrawood.records.picture.SvgCanvas;

/** Writes the manual: a folder of plain pages, or one HTML file with its drawings in it. */
public final class ManualFiles {
  private static final String STYLE =
      """
      body { font: 16px/1.5 sans-serif; max-width: 46em; margin: 2em auto; padding: 0 1em;
        color: #2b1f17; background: #fffdf9 }
      h1 { margin-top: 2.5em; border-top: 3px solid #c8371f; padding-top: .4em }
      h2 { font-size: 1.1em; margin: 1.6em 0 .2em }
      .caution { border-left: 4px solid #c8371f; padding: .2em .8em; background: #fbeee9 }
      table { border-collapse: collapse } td, th { border: 1px solid #d9c9b4; padding: .2em .6em }
      svg { float: right; margin: 0 0 .5em 1em; width: 180px; height: auto }
      """;

  private ManualFiles() {}

  /**
   * Pages in Markdown, by their file names.
   *
   * @param pictures file names of views that are at hand
   * @param picturesAt where they lie, seen from the pages
   */
  public static Map<String, String> plain(
      List<StationDefinition> stations, Set<String> pictures, String picturesAt) {
    List<Page> pages = new Manual(stations, pictures).pages();
    Map<String, String> files = new LinkedHashMap<>();
    StringBuilder first = new StringBuilder("# " + Text.of("manual.title") + "\n\n");
    first.append(Text.of("manual.made")).append("\n\n");
    pages.forEach(p -> first.append("- [" + p.title() + "](" + p.name() + ".md)\n"));
    files.put("README.md", first.toString());
    for (Page page : pages) {
      StringBuilder text = new StringBuilder("# " + page.title() + "\n");
      page.blocks().forEach(b -> text.append(plain(b, picturesAt)));
      files.put(page.name() + ".md", text.toString());
    }
    return files;
  }

  private static String plain(Block block, String picturesAt) {
    return switch (block) {
      case Block.Heading(String text) -> "\n## " + text + "\n";
      case Block.Paragraph(String text) -> "\n" + text + "\n";
      case Block.Said(String what, String text) -> "\n**" + what + "** " + text + "\n";
      case Block.Link(String page, String text) -> "\n[" + text + "](" + page + ".md)\n";
      case Block.Caution(String text) -> "\n> " + text + "\n";
      case Block.Drawing drawing -> "";
      case Block.Picture(String file, String about) ->
          "\n![" + about + "](" + picturesAt + "/" + file + ")\n";
      case Block.Table(List<String> header, List<List<String>> rows) ->
          "\n"
              + row(header)
              + row(header.stream().map(h -> "---").toList())
              + rows.stream().map(ManualFiles::row).collect(Collectors.joining());
    };
  }

  private static String row(List<String> cells) {
    return "| " + String.join(" | ", cells) + " |\n";
  }

  /** All of it as one well-formed HTML file that needs nothing beside it. */
  public static String html(List<StationDefinition> stations) {
    List<Page> pages = new Manual(stations, Set.of()).pages();
    StringBuilder all = new StringBuilder("<!DOCTYPE html>\n<html lang=\"");
    all.append(Text.words().language().tag()).append("\"><head><meta charset=\"utf-8\"/><title>");
    all.append(escaped(Text.of("manual.title"))).append("</title><style>").append(STYLE);
    all.append("</style></head><body>\n<svg style=\"display:none\">");
    for (HowTo how : HowTo.values()) {
      all.append("<symbol id=\"how-").append(how.ordinal()).append("\" viewBox=\"0 0 ");
      all.append((int) HowTo.WIDTH).append(' ').append((int) HowTo.HEIGHT).append("\">");
      all.append(drawing(how)).append("</symbol>");
    }
    all.append("</svg>\n<p>").append(escaped(Text.of("manual.made"))).append("</p><ul>");
    pages.forEach(
        p -> all.append("<li><a href=\"#" + p.name() + "\">" + escaped(p.title()) + "</a></li>"));
    all.append("</ul>\n");
    for (Page page : pages) {
      all.append("<h1 id=\"" + page.name() + "\">" + escaped(page.title()) + "</h1>\n");
      page.blocks().forEach(b -> all.append(html(b)).append('\n'));
    }
    return all.append("</body></html>\n").toString();
  }

  private static String drawing(HowTo how) {
    SvgCanvas canvas = new SvgCanvas(HowTo.WIDTH, HowTo.HEIGHT);
    how.draw(canvas);
    String svg = canvas.svg();
    return svg.substring(svg.indexOf('>', svg.indexOf("<svg")) + 1, svg.lastIndexOf("</svg>"));
  }

  private static String html(Block block) {
    return switch (block) {
      case Block.Heading(String text) -> "<h2>" + escaped(text) + "</h2>";
      case Block.Paragraph(String text) -> "<p>" + escaped(text) + "</p>";
      case Block.Said(String what, String text) ->
          "<p><b>" + escaped(what) + "</b> " + escaped(text) + "</p>";
      case Block.Link(String page, String text) ->
          "<p><a href=\"#" + page + "\">" + escaped(text) + "</a></p>";
      case Block.Caution(String text) -> "<p class=\"caution\">" + escaped(text) + "</p>";
      case Block.Drawing(HowTo how) ->
          "<svg viewBox=\"0 0 "
              + (int) HowTo.WIDTH
              + " "
              + (int) HowTo.HEIGHT
              + "\"><use href=\"#how-"
              + how.ordinal()
              + "\"/></svg>";
      case Block.Picture picture -> "";
      case Block.Table(List<String> header, List<List<String>> rows) ->
          "<table>"
              + row(header, "th")
              + rows.stream().map(r -> row(r, "td")).collect(Collectors.joining())
              + "</table>";
    };
  }

  private static String row(List<String> cells, String tag) {
    return cells.stream()
        .map(c -> "<" + tag + ">" + escaped(c) + "</" + tag + ">")
        .collect(Collectors.joining("", "<tr>", "</tr>"));
  }

  private static String escaped(String text) {
    return text.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;");
  }

  /** Writes the plain pages into a folder, over what is there of them. */
  public static void write(List<StationDefinition> stations, Path folder, Path pictures)
      throws IOException {
    Set<String> there = Set.of();
    if (Files.isDirectory(pictures)) {
      try (Stream<Path> files = Files.list(pictures)) {
        there = files.map(f -> f.getFileName().toString()).collect(Collectors.toSet());
      }
    }
    String at = folder.toAbsolutePath().relativize(pictures.toAbsolutePath()).toString();
    Files.createDirectories(folder);
    for (var page : plain(stations, there, at.replace('\\', '/')).entrySet()) {
      Files.writeString(folder.resolve(page.getKey()), page.getValue(), StandardCharsets.UTF_8);
    }
  }
}
