package zebrawood.devices.controller;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.time.Duration;
import java.util.Arrays;
import zebrawood.words.Message;

/** A controller on the network, or a simulated one served on a socket. */
public final class SocketPort implements Port {
  private static final int CONNECT_MS = 4000;

  private final Socket socket;
  private final InputStream in;
  private final byte[] buffer = new byte[1024];

  private SocketPort(Socket socket) throws IOException {
    this.socket = socket;
    this.in = socket.getInputStream();
  }

  public static SocketPort open(String host, int port) throws IOException {
    Socket socket = new Socket();
    try {
      socket.connect(new InetSocketAddress(host, port), CONNECT_MS);
      socket.setTcpNoDelay(true);
      return new SocketPort(socket);
    } catch (IOException e) {
      socket.close();
      throw new PortTrouble(
          Message.of("controller.port.no-answer", Message.quoted(host), String.valueOf(port)), e);
    }
  }

  @Override
  public void write(byte[] bytes) throws IOException {
    socket.getOutputStream().write(bytes);
  }

  @Override
  public byte[] read(Duration wait) throws IOException {
    socket.setSoTimeout((int) Math.max(1, wait.toMillis()));
    try {
      int count = in.read(buffer);
      if (count < 0) {
        throw new PortTrouble(Message.of("controller.port.gone"));
      }
      return Arrays.copyOf(buffer, count);
    } catch (SocketTimeoutException e) {
      return new byte[0];
    }
  }

  @Override
  public void close() {
    try {
      socket.close();
    } catch (IOException e) {
      // Nothing can be done about a socket that will not close.
      return;
    }
  }
}
