package zebrawood.desktop.workshop;

import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Language;

/**
 * What one person chose. A choice that this version does not know is as good as none.
 *
 * @param machine id of the machine that was open last
 * @param window where the window was, as it wrote it
 * @param language empty where the computer's own is spoken
 */
public record Preferences(
    Optional<String> initials,
    DisplayUnits units,
    boolean dark,
    Size size,
    Optional<String> machine,
    Optional<String> window,
    Optional<Language> language) {
  /** Under this name the window's place is kept. */
  public static final String WINDOW = "window";

  static final String LANGUAGE = "language";
  static final String INITIALS = "initials";
  static final String DARK = "dark";
  static final String SIZE = "size";
  static final String MACHINE = "machine";
  static final String LENGTH = "length-unit";
  static final String TEMPERATURE = "temperature-unit";
  static final String SPEED = "speed-unit";
  static final String INTERVAL = "interval-unit";

  static Preferences of(Workshop workshop, String person) {
    return new Preferences(
        workshop.preference(person, INITIALS).filter(i -> !i.isBlank()),
        new DisplayUnits(
            chosen(workshop, person, LENGTH, DisplayUnits.METRIC.length()),
            chosen(workshop, person, TEMPERATURE, DisplayUnits.METRIC.temperature()),
            chosen(workshop, person, SPEED, DisplayUnits.METRIC.speed()),
            chosen(workshop, person, INTERVAL, DisplayUnits.METRIC.interval())),
        workshop.preference(person, DARK).map(Boolean::valueOf).orElse(false),
        chosen(workshop, person, SIZE, Size.P100),
        workshop.preference(person, MACHINE),
        workshop.preference(person, WINDOW),
        workshop
            .preference(person, LANGUAGE)
            .flatMap(kept ->
                Stream.of(Language.values()).filter(l -> l.name().equals(kept)).findFirst()));
  }

  private static <E extends Enum<E>> E chosen(
      Workshop workshop, String person, String name, E otherwise) {
    String kept = workshop.preference(person, name).orElse("");
    for (E constant : otherwise.getDeclaringClass().getEnumConstants()) {
      if (constant.name().equals(kept)) {
        return constant;
      }
    }
    return otherwise;
  }
}
