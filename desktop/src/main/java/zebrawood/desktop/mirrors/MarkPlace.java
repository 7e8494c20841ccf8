package zebrawood.desktop.mirrors;

import java.util.List;
import java.util.stream.Stream;
import zebrawood.mirrors.MirrorReadings.At;

/** The marks that are asked for: at both ends of the gantry's travel, and of the carriage's. */
public enum MarkPlace {
  /** A card held in the way of the beam, where mirror 2 does not travel. */
  CARD(At.MIRROR_2, true, true),
  MIRROR_2(At.MIRROR_2, true, false),
  MIRROR_2_REAR(At.MIRROR_2, true, false),
  MIRROR_2_FRONT(At.MIRROR_2, false, false),
  MIRROR_3_REAR(At.MIRROR_3, true, false),
  MIRROR_3_FRONT(At.MIRROR_3, false, false),
  HEAD_REAR_LEFT(At.HEAD, true, true),
  HEAD_REAR_RIGHT(At.HEAD, true, false),
  HEAD_FRONT_LEFT(At.HEAD, false, true),
  HEAD_FRONT_RIGHT(At.HEAD, false, false),
  /** Below the only mirror, with the table high and low. */
  HIGH(At.HEAD, true, true),
  LOW(At.HEAD, true, false);

  private static final List<MarkPlace> CORNERS =
      List.of(HEAD_REAR_LEFT, HEAD_REAR_RIGHT, HEAD_FRONT_LEFT, HEAD_FRONT_RIGHT);

  private final At at;
  private final boolean rear;
  private final boolean left;

  MarkPlace(At at, boolean rear, boolean left) {
    this.at = at;
    this.rear = rear;
    this.left = left;
  }

  /** The marks of a train of so many steering mirrors, in the order they are burnt. */
  static List<MarkPlace> of(int mirrors) {
    return switch (mirrors) {
      case 1 -> List.of(HIGH, LOW);
      case 2 -> with(CORNERS, MIRROR_2_REAR, MIRROR_2_FRONT);
      default -> with(CORNERS, CARD, MIRROR_2, MIRROR_3_REAR, MIRROR_3_FRONT);
    };
  }

  private static List<MarkPlace> with(List<MarkPlace> last, MarkPlace... first) {
    return Stream.concat(Stream.of(first), last.stream()).toList();
  }

  At at() {
    return at;
  }

  boolean head() {
    return at == At.HEAD;
  }

  boolean rear() {
    return rear;
  }

  boolean left() {
    return left;
  }
}
