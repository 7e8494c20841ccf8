package zebrawood.desktop.mirrors;

import zebrawood.desktop.text.Text;

/** The marks that are asked for: at both ends of the gantry's travel, and of the carriage's. */
public enum MarkPlace {
  MIRROR_2_REAR(false, true, false),
  MIRROR_2_FRONT(false, false, false),
  HEAD_REAR_LEFT(true, true, true),
  HEAD_REAR_RIGHT(true, true, false),
  HEAD_FRONT_LEFT(true, false, true),
  HEAD_FRONT_RIGHT(true, false, false);

  private final boolean head;
  private final boolean rear;
  private final boolean left;

  MarkPlace(boolean head, boolean rear, boolean left) {
    this.head = head;
    this.rear = rear;
    this.left = left;
  }

  boolean head() {
    return head;
  }

  boolean rear() {
    return rear;
  }

  boolean left() {
    return left;
  }

  String words() {
    return Text.of("mirrors.place." + name().toLowerCase(java.util.Locale.ROOT));
  }
}
