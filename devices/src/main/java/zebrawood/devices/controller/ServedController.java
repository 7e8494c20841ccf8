package zebrawood.devices.controller;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;

/**
 * A simulated controller in real time, behind streams or a socket, so that the code of the real
 * link is used on it.
 */
public final class ServedController implements AutoCloseable {
  private final SimulatedController controller;
  private final long started = System.nanoTime();
  private final ServerSocket server;
  private int taken;

  /** How many times faster its clock runs than the wall's. */
  private final int hurry;

  private ServedController(SimulatedController controller, ServerSocket server, int hurry) {
    this.controller = controller;
    this.server = server;
    this.hurry = hurry;
  }

  /** Listens on this machine only, at a port of the system's choice. */
  public static ServedController onSocket(SimulatedController controller) throws IOException {
    return onSocket(controller, 1);
  }

  /**
   * The same for whoever need not see it move.
   *
   * @param hurry how many times faster its clock runs
   */
  public static ServedController onSocket(SimulatedController controller, int hurry)
      throws IOException {
    ServedController served =
        new ServedController(
            controller, new ServerSocket(0, 1, InetAddress.getLoopbackAddress()), hurry);
    Thread.ofPlatform().name("served-controller").daemon(true).start(served::accept);
    return served;
  }

  /** Serves over streams until they end. */
  public static void over(SimulatedController controller, InputStream in, OutputStream out) {
    ServedController served = new ServedController(controller, null, 1);
    Thread.ofPlatform().name("served-controller-in").daemon(true).start(() -> served.take(in));
    Thread.ofPlatform().name("served-controller-out").daemon(true).start(() -> served.give(out));
  }

  public int port() {
    return server.getLocalPort();
  }

  private void accept() {
    while (!server.isClosed()) {
      try (Socket socket = server.accept()) {
        socket.setTcpNoDelay(true);
        OutputStream out = socket.getOutputStream();
        Thread giver =
            Thread.ofPlatform().name("served-controller-out").daemon(true).start(() -> give(out));
        take(socket.getInputStream());
        giver.interrupt();
      } catch (IOException e) {
        if (server.isClosed()) {
          return;
        }
      }
    }
  }

  private long now() {
    return hurry * (System.nanoTime() - started);
  }

  private void take(InputStream in) {
    try {
      int next;
      while ((next = in.read()) >= 0) {
        if (controller.faults().wire().in().unplugAfter().isPresent()
            && taken >= controller.faults().wire().in().unplugAfter().getAsInt()) {
          close();
          return;
        }
        taken++;
        synchronized (controller) {
          controller.take((byte) next, now());
        }
      }
    } catch (IOException e) {
      // The other side is gone; the controller goes on with what it has.
      return;
    }
  }

  private void give(OutputStream out) {
    try {
      while (!Thread.currentThread().isInterrupted()) {
        boolean any = false;
        synchronized (controller) {
          controller.advanceTo(now());
          int next;
          while ((next = controller.poll(now())) >= 0) {
            out.write(next);
            any = true;
          }
        }
        if (any) {
          out.flush();
        }
        Thread.sleep(1);
      }
    } catch (IOException | InterruptedException e) {
      // The other side is gone.
      return;
    }
  }

  @Override
  public void close() throws IOException {
    if (server != null) {
      server.close();
    }
  }
}
