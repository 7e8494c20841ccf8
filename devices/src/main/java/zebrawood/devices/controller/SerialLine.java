package zebrawood.devices.controller;

import com.fazecast.jSerialComm.SerialPort;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.stream.Stream;
import zebrawood.words.Message;

/** A serial line, by cable or over USB. */
public final class SerialLine implements Port {
  private final SerialPort port;

  private SerialLine(SerialPort port) {
    this.port = port;
  }

  /** The names of the ports that are there now. */
  public static List<String> names() {
    return Stream.of(SerialPort.getCommPorts())
        .map(SerialPort::getSystemPortPath)
        .sorted()
        .toList();
  }

  /**
   * @throws IOException when it is not there, or another program holds it
   */
  public static SerialLine open(String name, int baud) throws IOException {
    SerialPort port;
    try {
      port = SerialPort.getCommPort(name);
    } catch (RuntimeException e) {
      throw new PortTrouble(Message.of("controller.port.none", Message.quoted(name)), e);
    }
    port.setComPortParameters(baud, 8, SerialPort.ONE_STOP_BIT, SerialPort.NO_PARITY);
    port.setComPortTimeouts(SerialPort.TIMEOUT_NONBLOCKING, 0, 0);
    if (!port.openPort()) {
      throw new PortTrouble(Message.of("controller.port.held", Message.quoted(name)));
    }
    return new SerialLine(port);
  }

  @Override
  public void write(byte[] bytes) throws IOException {
    int done = 0;
    while (done < bytes.length) {
      int count = port.writeBytes(bytes, bytes.length - done, done);
      if (count <= 0) {
        throw new PortTrouble(Message.of("controller.port.takes-nothing"));
      }
      done += count;
    }
  }

  @Override
  public byte[] read(Duration wait) throws IOException {
    long end = System.nanoTime() + wait.toNanos();
    do {
      int there = port.bytesAvailable();
      if (there < 0 || !port.isOpen()) {
        throw new PortTrouble(Message.of("controller.port.gone"));
      }
      if (there > 0) {
        byte[] bytes = new byte[there];
        int count = port.readBytes(bytes, there);
        if (count < 0) {
          throw new PortTrouble(Message.of("controller.port.gone"));
        }
        return java.util.Arrays.copyOf(bytes, count);
      }
      if (wait.isZero()) {
        break;
      }
      try {
        Thread.sleep(2);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IOException("interrupted", e);
      }
    } while (System.nanoTime() < end);
    return new byte[0];
  }

  @Override
  public void close() {
    port.closePort();
  }
}
