package zebrawood.records.paper;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/**
 * Which letters of a page can be printed: those of the bundled typefaces, and of a few more that
 * are installed here. For the rest stands a box, and the page says so.
 */
final class Letters {
  /** Stands for what no typeface has. */
  private static final String NO_LETTER = "▯";

  /** What a page says when letters are missing; it stands in every template. */
  private static final Pattern NOTE = Pattern.compile("(?s)<p class=\"letters\">.*?</p>\\s*");

  private static final int MOST_LOOKED_AT = 400;
  private static final int MOST_TAKEN = 3;
  private static final long LONGEST_FILE = 40_000_000;

  private Letters() {}

  /**
   * A page as it can be printed.
   *
   * @param further typefaces that it needs beside the bundled ones
   * @param missing letters that none of them has, each once
   */
  record Printable(String html, List<Path> further, List<String> missing) {}

  /** The page without the note, as a browser shows it: that has its own typefaces. */
  static String forScreen(String html) {
    return NOTE.matcher(html).replaceAll("");
  }

  /**
   * @param bundled the typefaces that every page has
   * @param installed files that may have what these lack, in no order
   */
  static Printable forPaper(
      String html, List<Supplier<InputStream>> bundled, Supplier<List<Path>> installed)
      throws IOException {
    BitSet missing = new BitSet();
    html.codePoints().filter(Letters::isSeen).forEach(missing::set);
    for (Supplier<InputStream> face : bundled) {
      if (!missing.isEmpty()) {
        try (InputStream file = face.get()) {
          takeAway(missing, file.readAllBytes());
        }
      }
    }
    if (missing.isEmpty()) {
      return new Printable(forScreen(html), List.of(), List.of());
    }
    List<Path> further = new ArrayList<>();
    for (Path file :
        installed.get().stream().filter(Letters::usable).limit(MOST_LOOKED_AT).toList()) {
      if (missing.isEmpty() || further.size() == MOST_TAKEN) {
        break;
      }
      try {
        if (takeAway(missing, Files.readAllBytes(file))) {
          further.add(file);
        }
      } catch (IOException | RuntimeException e) {
        // A file that is no typeface after all has no letters.
        continue;
      }
    }
    return missing.isEmpty()
        ? new Printable(forScreen(html), further, List.of())
        : new Printable(
            boxed(html, missing), further, missing.stream().mapToObj(Character::toString).toList());
  }

  private static boolean isSeen(int letter) {
    return letter > 0x7E
        && !Character.isWhitespace(letter)
        && Character.getType(letter) != Character.FORMAT;
  }

  private static boolean usable(Path file) {
    try {
      return file.toString().toLowerCase(Locale.ROOT).endsWith(".ttf")
          && Files.size(file) < LONGEST_FILE;
    } catch (IOException e) {
      return false;
    }
  }

  /** Whether the typeface has any of them; those that it has are missing no more. */
  private static boolean takeAway(BitSet missing, byte[] typeface) throws IOException {
    int before = missing.cardinality();
    try (TrueTypeFont font = new TTFParser(true).parse(new RandomAccessReadBuffer(typeface))) {
      CmapLookup letters = font.getUnicodeCmapLookup();
      IntStream.of(missing.stream().toArray())
          .filter(letter -> letters.getGlyphId(letter) > 0)
          .forEach(missing::clear);
    }
    return missing.cardinality() < before;
  }

  private static String boxed(String html, BitSet missing) {
    StringBuilder boxed = new StringBuilder(html.length());
    html.codePoints()
        .forEach(letter -> {
          if (missing.get(letter)) {
            boxed.append(NO_LETTER);
          } else {
            boxed.appendCodePoint(letter);
          }
        });
    return boxed.toString();
  }
}
