package zebrawood.devices.controller;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.lang.foreign.Arena;
import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.SymbolLookup;
import java.lang.foreign.ValueLayout;
import java.lang.invoke.MethodHandle;
import java.util.Optional;

/**
 * Two ends of a line on this machine, one of which looks like a serial port. Only on systems that
 * have them (Linux); used to drive the serial code without a cable.
 */
@SuppressWarnings("restricted") // the calls of the system are what this class is for
public final class PseudoTerminal implements AutoCloseable {
  private static final int READ_WRITE_NO_CONTROL = 0x2 | 0x100;
  private static final Linker LINKER = Linker.nativeLinker();
  private static final SymbolLookup LIBRARY = LINKER.defaultLookup();

  private final int master;
  private final String name;

  private PseudoTerminal(int master, String name) {
    this.master = master;
    this.name = name;
  }

  /** Empty where the system has none. */
  public static Optional<PseudoTerminal> open() {
    try {
      int master = (int) call("posix_openpt", ValueLayout.JAVA_INT).invoke(READ_WRITE_NO_CONTROL);
      if (master < 0
          || (int) call("grantpt", ValueLayout.JAVA_INT).invoke(master) != 0
          || (int) call("unlockpt", ValueLayout.JAVA_INT).invoke(master) != 0) {
        return Optional.empty();
      }
      MethodHandle ptsname =
          LINKER.downcallHandle(
              LIBRARY.find("ptsname").orElseThrow(),
              FunctionDescriptor.of(ValueLayout.ADDRESS, ValueLayout.JAVA_INT));
      MemorySegment path = (MemorySegment) ptsname.invoke(master);
      return Optional.of(new PseudoTerminal(master, path.reinterpret(128).getString(0)));
    } catch (Throwable e) {
      // Not on this system: whoever asked goes without.
      return Optional.empty();
    }
  }

  private static MethodHandle call(String function, ValueLayout... arguments) {
    return LINKER.downcallHandle(
        LIBRARY.find(function).orElseThrow(),
        FunctionDescriptor.of(ValueLayout.JAVA_INT, arguments));
  }

  /** What the serial code opens. */
  public String name() {
    return name;
  }

  public InputStream in() {
    return new InputStream() {
      @Override
      public int read() throws IOException {
        byte[] one = new byte[1];
        return transfer("read", one) == 1 ? one[0] & 0xff : -1;
      }
    };
  }

  public OutputStream out() {
    return new OutputStream() {
      @Override
      public void write(int value) throws IOException {
        if (transfer("write", new byte[] {(byte) value}) != 1) {
          throw new IOException("the line is closed");
        }
      }
    };
  }

  private int transfer(String function, byte[] one) throws IOException {
    try (Arena arena = Arena.ofConfined()) {
      MemorySegment buffer = arena.allocate(1);
      buffer.set(ValueLayout.JAVA_BYTE, 0, one[0]);
      MethodHandle handle =
          LINKER.downcallHandle(
              LIBRARY.find(function).orElseThrow(),
              FunctionDescriptor.of(
                  ValueLayout.JAVA_LONG,
                  ValueLayout.JAVA_INT,
                  ValueLayout.ADDRESS,
                  ValueLayout.JAVA_LONG));
      long count = (long) handle.invoke(master, buffer, 1L);
      one[0] = buffer.get(ValueLayout.JAVA_BYTE, 0);
      return (int) count;
    } catch (Throwable e) {
      throw new IOException(function + " failed", e);
    }
  }

  @Override
  public void close() {
    try {
      call("close", ValueLayout.JAVA_INT).invoke(master);
    } catch (Throwable e) {
      // Nothing can be done about a line that will not close.
      return;
    }
  }
}
