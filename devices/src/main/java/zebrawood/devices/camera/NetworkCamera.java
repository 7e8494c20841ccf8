package zebrawood.devices.camera;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/** One picture of a camera that shows it over the local network (HTTP, RFC 9110). */
public final class NetworkCamera {
  private static final Duration CONNECTING = Duration.ofSeconds(5);
  private static final Duration WHOLE = Duration.ofSeconds(20);
  private static final int MOST_BYTES = 60_000_000;

  private NetworkCamera() {}

  /**
   * Asks for it, and keeps it in a file of its own.
   *
   * @param address such as {@code http://192.168.1.20/picture.jpg}
   * @return where it is; what it is, whoever reads it finds out
   * @throws UnusableReading where none comes, it is too large, or the address is none
   */
  public static Path take(String address) {
    URI uri = uri(address);
    try (HttpClient client =
        HttpClient.newBuilder()
            .connectTimeout(CONNECTING)
            .followRedirects(HttpClient.Redirect.NEVER)
            .build()) {
      // A picture that comes in too slowly ends with what was asked for it.
      CompletableFuture.delayedExecutor(WHOLE.toSeconds(), TimeUnit.SECONDS)
          .execute(client::shutdownNow);
      HttpResponse<InputStream> answer =
          client.send(
              HttpRequest.newBuilder(uri).timeout(WHOLE).build(),
              HttpResponse.BodyHandlers.ofInputStream());
      try (InputStream body = answer.body()) {
        if (answer.statusCode() != 200) {
          throw refused(address, Message.of("camera.link.answered", answer.statusCode()));
        }
        byte[] bytes = body.readNBytes(MOST_BYTES + 1);
        if (bytes.length > MOST_BYTES) {
          throw refused(address, Message.of("camera.link.too-large"));
        }
        if (bytes.length == 0) {
          throw refused(address, Message.of("camera.link.empty"));
        }
        Path file = Files.createTempFile("camera", ending(bytes));
        file.toFile().deleteOnExit();
        Files.write(file, bytes);
        return file;
      }
    } catch (IOException e) {
      throw refused(address, Message.of("camera.link.none"));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw refused(address, Message.of("camera.link.none"));
    }
  }

  private static String ending(byte[] bytes) {
    return bytes[0] == (byte) 0x89 ? ".png" : ".jpg";
  }

  private static URI uri(String address) {
    try {
      URI uri = URI.create(address.strip());
      String scheme = uri.getScheme();
      if (uri.getHost() != null && ("http".equals(scheme) || "https".equals(scheme))) {
        return uri;
      }
    } catch (IllegalArgumentException e) {
      throw refused(address, Message.of("camera.link.no-address"));
    }
    throw refused(address, Message.of("camera.link.no-address"));
  }

  private static UnusableReading refused(String address, Message found) {
    return UnusableReading.of(
        "address",
        Message.of("camera.link.found", Message.quoted(address), found),
        Message.of("camera.link.accepts"));
  }
}
