package zebrawood.desktop.app;

import java.util.Locale;

/** Whether there is a screen, and the toolkit's own offscreen mode for when there is none. */
final class Display {
  private Display() {}

  static boolean isThere() {
    if (System.getProperty("glass.platform") != null) {
      return true;
    }
    boolean needsVariable =
        System.getProperty("os.name").toLowerCase(Locale.ROOT).contains("linux");
    return !needsVariable || set("DISPLAY") || set("WAYLAND_DISPLAY");
  }

  private static boolean set(String variable) {
    String value = System.getenv(variable);
    return value != null && !value.isBlank();
  }

  /** Before the toolkit starts. */
  static void useOffscreen() {
    System.setProperty("glass.platform", "Headless");
    System.setProperty("prism.order", "sw");
    System.setProperty("java.awt.headless", "true");
  }
}
