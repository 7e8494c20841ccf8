package zebrawood.records.file;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** The sum SHA-256 (FIPS 180-4), as 64 letters. */
public final class Sha256 {
  private Sha256() {}

  /** A sum to be added to. */
  public static MessageDigest begun() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Of all these bytes, one array behind the other. */
  public static String of(byte[]... bytes) {
    MessageDigest sum = begun();
    for (byte[] part : bytes) {
      sum.update(part);
    }
    return HexFormat.of().formatHex(sum.digest());
  }
}
