package zebrawood.records.handover;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;
import zebrawood.machine.Machine;

/**
 * A machine's code (ISO/IEC 18004): the id that its passport carries. Read by a scanner into find
 * or do, it opens the machine.
 */
public final class MachineCode {
  private static final String BEFORE = "zebrawood-machine:";
  private static final int SIDE_PX = 84;

  private MachineCode() {}

  /** What stands in the code. */
  public static String words(Machine machine) {
    return BEFORE + machine.id();
  }

  /** The code as a picture, with the quiet zone that readers need. */
  static String svg(Machine machine) {
    BitMatrix code;
    try {
      code =
          new QRCodeWriter()
              .encode(
                  words(machine),
                  BarcodeFormat.QR_CODE,
                  1,
                  1,
                  Map.of(
                      EncodeHintType.ERROR_CORRECTION,
                      ErrorCorrectionLevel.M,
                      EncodeHintType.CHARACTER_SET,
                      "UTF-8"));
    } catch (WriterException e) {
      throw new IllegalStateException("an id is shorter than any code", e);
    }
    StringBuilder path = new StringBuilder();
    for (int y = 0; y < code.getHeight(); y++) {
      for (int x = 0; x < code.getWidth(); x++) {
        if (code.get(x, y)) {
          path.append("M%d %dh1v1h-1z".formatted(x, y));
        }
      }
    }
    return ("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%1$d\" height=\"%1$d\""
            + " viewBox=\"0 0 %2$d %3$d\"><path d=\"%4$s\" fill=\"#000000\"/></svg>")
        .formatted(SIDE_PX, code.getWidth(), code.getHeight(), path);
  }
}
