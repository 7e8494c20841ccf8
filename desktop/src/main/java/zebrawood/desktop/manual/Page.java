package zebrawood.desktop.manual;

import java.util.List;
import zebrawood.desktop.help.HowTo;

/**
 * A page of the manual.
 *
 * @param name of its file, without an ending
 */
record Page(String name, String title, List<Block> blocks) {
  /** A part of a page. */
  sealed interface Block {
    /** A title over what follows, as another topic of the page. */
    record Heading(String text) implements Block {}

    record Paragraph(String text) implements Block {}

    /** Words with a word before them that says what they are. */
    record Said(String what, String text) implements Block {}

    /** A link to another page. */
    record Link(String page, String text) implements Block {}

    /** What can hurt. */
    record Caution(String text) implements Block {}

    /** A small drawing of how it is done. */
    record Drawing(HowTo how) implements Block {}

    /** A view of the program. */
    record Picture(String file, String about) implements Block {}

    /** Rows under a header. */
    record Table(List<String> header, List<List<String>> rows) implements Block {}
  }
}
