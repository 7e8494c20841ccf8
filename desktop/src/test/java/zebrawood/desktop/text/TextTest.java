package zebrawood.desktop.text;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.ChoiceFormat;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import zebrawood.quantity.Quantity;
import zebrawood.quantity.Unit;
import zebrawood.words.Message;

/** Every word that a technician reads stands in a bundle, once, and every bundle's word is used. */
class TextTest {
  private static final Pattern KEY =
      Pattern.compile("\"([a-z][a-z0-9]*(?:[.][a-zA-Z0-9-]+)+[.-]?)\"");
  private static final List<String> MODULES = List.of("core", "records", "devices", "desktop");

  /** Ends of keys that are put behind another key. */
  private static final Pattern BEHIND =
      Pattern.compile(
          "\\.(?:why|hint|costs|short|brief|title|question|legend|prompt|other|how|cure|do|bring)$");

  /** Keys that are made of a station's or a form's names. */
  private static final Pattern MADE =
      Pattern.compile(
          "help\\..*|[a-z]+\\.(?:field|figure|aim|place|line|count|line\\.on)\\..*"
              + "|[a-z]+\\.(?:caution|why-read)"
              + "|[a-z]+\\.(?:[a-z]+-)*row\\.(?:at|percent|value)"
              + "|focus\\.rung-(?:score|width)\\.(?:heading-)?(?:at|value)"
              // The command line's parser asks for these itself.
              + "|zebrawood\\..*|usage\\..*|mixinStandardHelpOptions\\..*");

  static Map<String, String> defined() throws IOException {
    Map<String, String> defined = new TreeMap<>();
    for (Path file : files(".properties")) {
      if (file.toString().matches(".*_[a-z]{2}\\.properties")) {
        // Of another language: LanguagesTest.
        continue;
      }
      Properties words = new Properties();
      try (Reader reader = Files.newBufferedReader(file, StandardCharsets.UTF_8)) {
        words.load(reader);
      }
      for (String key : words.stringPropertyNames()) {
        assertThat(defined.put(key, words.getProperty(key))).as("%s is there once", key).isNull();
      }
    }
    assertThat(defined).hasSizeGreaterThan(1000);
    return defined;
  }

  static List<Path> files(String end) throws IOException {
    try (Stream<Path> all =
        MODULES.stream().flatMap(module -> walk(Path.of("../" + module + "/src/main")))) {
      return all.filter(f -> f.toString().endsWith(end)).toList();
    }
  }

  private static Stream<Path> walk(Path folder) {
    try {
      return Files.walk(folder).filter(Files::isRegularFile);
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private static Set<String> written() throws IOException {
    Set<String> keys = new TreeSet<>();
    List<Path> sources = new java.util.ArrayList<>(files(".java"));
    sources.addAll(files(".html"));
    for (Path file : sources) {
      String text = Files.readString(file);
      Matcher m = KEY.matcher(text);
      while (m.find()) {
        keys.add(m.group(1));
      }
      Matcher paper = Pattern.compile("\\{\\{#say}}([a-z.-]+)").matcher(text);
      while (paper.find()) {
        keys.add(paper.group(1));
      }
    }
    return keys;
  }

  private static Set<String> ofEnums() {
    Set<String> keys = new TreeSet<>();
    for (JavaClass type :
        new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("zebrawood")) {
      if (type.isEnum() && type.reflect().getEnumConstants() != null) {
        for (Object constant : type.reflect().getEnumConstants()) {
          keys.add(Message.keyOf((Enum<?>) constant));
        }
      }
    }
    return keys;
  }

  @Test
  void everyWordIsUsed() throws IOException {
    Set<String> used = written();
    used.addAll(ofEnums());
    Set<String> begun =
        used.stream()
            .filter(k -> k.endsWith(".") || k.endsWith("-"))
            .collect(java.util.stream.Collectors.toSet());
    Set<String> unused = new TreeSet<>(defined().keySet());
    unused.removeAll(used);
    unused.removeIf(k -> MADE.matcher(k).matches());
    unused.removeIf(k -> BEHIND.matcher(k).find());
    unused.removeIf(k -> begun.stream().anyMatch(k::startsWith));
    assertThat(unused).as("defined and never used").isEmpty();
  }

  @Test
  void noWordIsMissing() throws IOException {
    Map<String, String> defined = defined();
    Set<String> firsts = new TreeSet<>();
    defined.keySet().forEach(k -> firsts.add(k.substring(0, k.indexOf('.'))));
    Set<String> missing = written();
    missing.removeIf(k -> k.endsWith(".") || k.endsWith("-"));
    missing.removeIf(k -> !firsts.contains(k.substring(0, k.indexOf('.'))));
    missing.removeAll(defined.keySet());
    missing.removeIf(begin -> defined.keySet().stream().anyMatch(k -> k.startsWith(begin + ".")));
    missing.removeIf(k -> defined.containsKey("help." + k + ".what"));
    // Names of fields and of files look like keys.
    missing.removeIf(
        k -> k.matches("(reading|words|workshop)\\..*|zebrawood\\..*|form\\.keep|count\\.[a-z]+"));
    assertThat(missing).as("used and never defined").isEmpty();
  }

  /**
   * The unit on display stands behind a heading by itself: said in it too, one of them is wrong.
   */
  @Test
  void noHeadingSaysAUnit() throws IOException {
    Set<String> symbols =
        Stream.of(Quantity.values())
            .flatMap(q -> q.units().stream())
            .map(Unit::symbol)
            .filter(symbol -> !symbol.isEmpty())
            .collect(java.util.stream.Collectors.toSet());
    defined()
        .forEach((key, words) ->
            assertThat(symbols).as(key).noneMatch(symbol -> words.endsWith(", " + symbol)));
  }

  @Test
  void everyFormatIsAFormat() throws IOException {
    defined()
        .forEach((key, words) -> {
          Matcher counted = COUNTED.matcher(words);
          while (counted.find()) {
            ChoiceFormat choice = new ChoiceFormat(counted.group(1));
            assertThat(choice.getFormats()).as(key).hasSizeGreaterThan(1).doesNotContain("");
            assertThat(choice.format(1)).as(key).isNotEqualTo(choice.format(2));
          }
          assertThat(COUNTED.matcher(words).replaceAll("").replaceAll("%(?:\\d+\\$)?s|%%", ""))
              .as(key)
              .doesNotContain("%");
        });
  }

  /** A word that depends on a number. */
  private static final Pattern COUNTED = Pattern.compile("%(?:\\d+\\$)?\\[([^\\]]*)]");

  private static final Pattern LITERAL = Pattern.compile("\"(?:[^\"\\\\\n]|\\\\.)*\"");

  /** Three words in a row, none of them a statement for the store or a picture's markup. */
  private static final Pattern SENTENCE =
      Pattern.compile("[^<=]*\\b[a-zA-Z]{2,}[,;:]? [a-z]{2,}[,;:]? [a-z]{2,}[^<=]*");

  /** What is for whoever mends the program, and a stand-in's greeting. */
  private static final Pattern NOT_FOR_TECHNICIANS =
      Pattern.compile(
          "(?s).*(Exception|Error|LOG\\.\\w+|\\.error|sql\\.(list|text|run)|execute)\\s*\\(?[^;]*"
              + "|.*say\\s*\\(?\\s*");

  @Test
  void noSentenceStandsInTheCode() throws IOException {
    Set<String> found = new TreeSet<>();
    for (Path file : files(".java")) {
      String code = Files.readString(file).replaceAll("(?s)/\\*.*?\\*/|//[^\\n]*", "");
      Matcher m = LITERAL.matcher(code);
      while (m.find()) {
        if (!SENTENCE.matcher(m.group()).matches()) {
          continue;
        }
        int statement = code.lastIndexOf(';', m.start()) + 1;
        if (!NOT_FOR_TECHNICIANS.matcher(code.substring(statement, m.start())).matches()) {
          found.add(file.getFileName() + ": " + m.group());
        }
      }
    }
    assertThat(found).isEmpty();
  }
}
