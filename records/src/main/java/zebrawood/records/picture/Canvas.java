package zebrawood.records.picture;

/** What a picture is drawn on; the words on it are plain, each backend escapes them. */
public interface Canvas {
  /** A state that changes a look, such as {@code low} or {@code lit}; a name of the stylesheet. */
  interface Mark {
    /** The state is on, or not. */
    Mark state(String name, boolean on);
  }

  double width();

  double height();

  Mark circle(double x, double y, double radius, String look);

  Mark line(double fromX, double fromY, double toX, double toY, String look);

  /**
   * Part of a circle.
   *
   * @param startDeg counter-clockwise from three o'clock
   */
  Mark arc(double x, double y, double radius, double startDeg, double lengthDeg, String look);

  Mark rectangle(double x, double y, double width, double height, String look);

  /**
   * A photograph.
   *
   * @param png the whole file, the same array for the same photograph; a picture has one
   */
  Mark image(byte[] png, double x, double y, double width, double height);

  /** Words with their middle at a place, wrapped at a width. */
  Mark words(String words, double x, double y, double width, String look);

  /** Words with their middle at a place. */
  default Mark words(String words, double x, double y, String look) {
    return words(words, x, y, 160, look);
  }

  /**
   * Something that can be pressed where there is a hand to press it; on paper its words alone.
   *
   * @param id the same for the same thing in every drawing
   * @param words what it shows; it stands with its middle at the place, within the picture
   * @param turns which way an arrow round it goes: 1 clockwise, -1 the other way, 0 none
   * @param name what it is called by those who do not see it
   */
  Mark button(
      String id,
      String words,
      int turns,
      String name,
      double x,
      double y,
      String look,
      Runnable press);
}
