package zebrawood.desktop.app;

import java.io.IOException;
import java.net.StandardProtocolFamily;
import java.net.UnixDomainSocketAddress;
import java.nio.channels.SocketChannel;
import java.nio.file.Path;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Whether there is a screen, and the toolkit's own offscreen mode for when there is none. */
final class Display {
  private static final Pattern LOCAL = Pattern.compile("(?:unix)?:(\\d+)(?:\\.\\d+)?");

  private Display() {}

  static boolean isThere() {
    if (System.getProperty("glass.platform") != null) {
      return true;
    }
    boolean x11 = System.getProperty("os.name").toLowerCase(Locale.ROOT).contains("linux");
    String display = System.getenv("DISPLAY");
    return !x11 || (display != null && !display.isBlank() && answers(display));
  }

  /** A display of this machine has a socket that can be connected to; others are taken on trust. */
  private static boolean answers(String display) {
    Matcher local = LOCAL.matcher(display);
    if (!local.matches()) {
      return true;
    }
    Path socket = Path.of("/tmp/.X11-unix/X" + local.group(1));
    try (SocketChannel channel = SocketChannel.open(StandardProtocolFamily.UNIX)) {
      return channel.connect(UnixDomainSocketAddress.of(socket));
    } catch (IOException e) {
      return false;
    }
  }

  /** Whether windows are drawn without a screen, whose size then says nothing. */
  static boolean isOffscreen() {
    return "Headless".equals(System.getProperty("glass.platform"));
  }

  /** Before the toolkit starts. */
  static void useOffscreen() {
    System.setProperty("glass.platform", "Headless");
    System.setProperty("prism.order", "sw");
    System.setProperty("java.awt.headless", "true");
  }
}
