package zebrawood.controller;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import zebrawood.words.Message;

/**
 * What a setting does, whatever a controller calls it. A role is a number, or a choice among
 * meanings.
 */
public enum Role {
  TOP_POWER_WORD,
  LEAST_POWER_WORD,
  TRAVEL_X,
  TRAVEL_Y,
  STEPS_PER_MM_X,
  STEPS_PER_MM_Y,
  MOST_SPEED_X,
  MOST_SPEED_Y,
  ACCELERATION_X,
  ACCELERATION_Y,
  IDLE_DELAY,
  /** Hours that the beam was on, where the controller counts them. */
  BEAM_HOURS,
  LASER_FOLLOWS_MOTION(Role.ON, Role.OFF),
  HOMING(Role.ON, Role.OFF),
  HARD_LIMITS(Role.ON, Role.OFF),
  SOFT_LIMITS(Role.ON, Role.OFF),
  HOME_CORNER(Arrays.stream(Corner.values()).map(Corner::spelled).toArray(String[]::new)),
  REPORT_UNITS("mm", "inch"),
  /** Whether more power is a higher or a lower signal. */
  POWER_SENSE(Role.RISING, Role.FALLING),
  FIELD_SIZE_X,
  FIELD_SIZE_Y,
  LENS_FOCAL_LENGTH,
  SOURCE_KIND("co2", "diode", "fibre", "uv"),
  LEAST_PULSE_RATE,
  MOST_PULSE_RATE,
  FIELD_SCALE_X,
  FIELD_SCALE_Y,
  FIELD_OFFSET_X,
  FIELD_OFFSET_Y;

  /** Meanings of a switch. */
  public static final String ON = "on";

  public static final String OFF = "off";

  /** Meanings of the power's sense. */
  public static final String RISING = "rising";

  public static final String FALLING = "falling";

  /**
   * Roles of a field and its source: they are judged beside lens and laser, not beside a gantry.
   */
  private static final Set<Role> OF_A_FIELD =
      EnumSet.of(
          FIELD_SIZE_X,
          FIELD_SIZE_Y,
          LENS_FOCAL_LENGTH,
          SOURCE_KIND,
          LEAST_PULSE_RATE,
          MOST_PULSE_RATE,
          FIELD_SCALE_X,
          FIELD_SCALE_Y,
          FIELD_OFFSET_X,
          FIELD_OFFSET_Y);

  private final List<String> meanings;

  Role(String... meanings) {
    this.meanings = List.of(meanings);
  }

  /** What a choice can mean; empty for a number. */
  public List<String> meanings() {
    return meanings;
  }

  /** Whether it is of a field and its source rather than of a gantry. */
  public boolean isOfAField() {
    return OF_A_FIELD.contains(this);
  }

  public boolean isChoice() {
    return !meanings.isEmpty();
  }

  /** Such as {@code top-power-word}. */
  public String spelled() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** What a meaning is called. */
  public static Message said(String meaning) {
    return Message.of("controller.meaning." + meaning);
  }

  /** What it is called where it is one; what was printed where it is none. */
  static Message saidOrPrinted(String words) {
    return Arrays.stream(values()).anyMatch(r -> r.meanings.contains(words))
        ? said(words)
        : Message.quoted(words);
  }

  /** The role that is spelled so. */
  public static Optional<Role> find(String spelled) {
    return Arrays.stream(values()).filter(r -> r.spelled().equals(spelled)).findFirst();
  }
}
