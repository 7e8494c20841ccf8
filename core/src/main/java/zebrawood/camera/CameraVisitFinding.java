package zebrawood.camera;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.camera.CameraPhotoFinding.Missing;
import zebrawood.camera.CameraPhotoFinding.Point;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a visit to the camera came to.
 *
 * @param camera of a target; empty of fresh marks
 * @param points where each mark of a photograph was found, those left out too
 * @param missing the marks of a photograph that were not found
 * @param check of fresh marks
 */
public record CameraVisitFinding(
    Optional<CameraFinding> camera,
    Optional<List<Point>> points,
    Optional<List<Missing>> missing,
    Optional<CameraCheckFinding> check,
    Optional<CloseUp> closeUp,
    Optional<Sharpness> sharpness,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  List<Message> said() {
    List<Message> said = new ArrayList<>();
    camera.ifPresent(c -> {
      said.add(
          Message.of(
              "camera.summary.fit",
              Amount.mm(c.heldOutRmsMm(), 3),
              Amount.of(c.residualRmsPx(), Quantity.NUMBER, 2)));
      c.heightSlopeMmPerMm()
          .ifPresent(s -> said.add(Message.of("camera.summary.height", Amount.mm(s, 2))));
    });
    missing
        .filter(m -> !m.isEmpty())
        .ifPresent(m -> said.add(Message.of("camera.summary.missing", m.size())));
    closeUp.map(CloseUp::said).ifPresent(said::add);
    sharpness.map(Sharpness::said).ifPresent(said::add);
    return said;
  }
}
