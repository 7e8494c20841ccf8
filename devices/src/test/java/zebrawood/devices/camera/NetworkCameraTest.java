package zebrawood.devices.camera;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpServer;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import zebrawood.measure.UnusableReading;

/** A camera on this machine's own network, served by a stand-in. */
class NetworkCameraTest {
  private static byte[] picture() throws IOException {
    BufferedImage image =
        new StandInCamera(400, 300, 3)
            .photograph(new StandInCamera.Target(5, 4, 80, 40, 30, false, 0));
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(image, "jpg", bytes);
    return bytes.toByteArray();
  }

  @Test
  void oneIsTakenAndWhatIsNoneIsSaid() throws IOException {
    byte[] served = picture();
    HttpServer server =
        HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    server.createContext(
        "/picture.jpg",
        exchange -> {
          exchange.sendResponseHeaders(200, served.length);
          exchange.getResponseBody().write(served);
          exchange.close();
        });
    server.createContext(
        "/closed",
        exchange -> {
          exchange.sendResponseHeaders(403, -1);
          exchange.close();
        });
    server.createContext(
        "/empty",
        exchange -> {
          exchange.sendResponseHeaders(200, -1);
          exchange.close();
        });
    server.start();
    String at = "http://127.0.0.1:" + server.getAddress().getPort();
    try {
      Path file = NetworkCamera.take(at + "/picture.jpg");
      assertThat(Files.readAllBytes(file)).isEqualTo(served);
      assertThat(ImageIO.read(file.toFile()).getWidth()).isEqualTo(StandInCamera.WIDTH_PX);
      assertThatThrownBy(() -> NetworkCamera.take(at + "/closed")).hasMessageContaining("403");
      assertThatThrownBy(() -> NetworkCamera.take(at + "/empty")).hasMessageContaining("empty");
    } finally {
      server.stop(0);
    }
    assertThatThrownBy(() -> NetworkCamera.take(at + "/picture.jpg"))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("no picture came");
    for (String none : new String[] {"", "camera", "file:///etc/hosts", "http://", "http://a b"}) {
      assertThatThrownBy(() -> NetworkCamera.take(none)).hasMessageContaining("no address");
    }
  }

  @Test
  void aLidThatIsKnockedShowsPlacesElsewhereAndAtItsStopNearlyWhereTheyWere() {
    StandInCamera camera = new StandInCamera(600, 400, 8);
    double[] before = camera.px(300, 200, 0);
    camera.closeLid();
    double[] shut = camera.px(300, 200, 0);
    assertThat(Math.hypot(shut[0] - before[0], shut[1] - before[1])).isBetween(1e-6, 3.0);
    camera.knockLid(0.02, 0);
    double[] knocked = camera.px(300, 200, 0);
    assertThat(Math.hypot(knocked[0] - before[0], knocked[1] - before[1])).isGreaterThan(5);
    camera.pushToStop();
    camera.raiseTable(10);
    double[] raised = camera.px(0, 0, 0);
    camera.raiseTable(-10);
    double[] back = camera.px(0, 0, 0);
    assertThat(Math.hypot(raised[0] - back[0], raised[1] - back[1])).isGreaterThan(5);
  }
}
