package zebrawood.records.picture;

import java.io.StringWriter;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.Map;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** An SVG document, written element by element. */
public final class SvgWriter {
  private static final String SVG = "http://www.w3.org/2000/svg";
  private static final String XLINK = "http://www.w3.org/1999/xlink";

  private final StringWriter written = new StringWriter();
  private final XMLStreamWriter xml;

  /** What the writer of XML does, which never fails on a text. */
  private interface Step {
    void take() throws XMLStreamException;
  }

  /**
   * @param attributes of the document's own element: names and values in turn
   */
  public SvgWriter(String... attributes) {
    try {
      xml = XMLOutputFactory.newFactory().createXMLStreamWriter(written);
    } catch (XMLStreamException e) {
      throw new IllegalStateException(e);
    }
    take(() -> {
      xml.writeStartElement("svg");
      xml.writeDefaultNamespace(SVG);
      xml.writeNamespace("xlink", XLINK);
    });
    attributes(attributes(attributes));
  }

  private static void take(Step step) {
    try {
      step.take();
    } catch (XMLStreamException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Names and values in turn, in this order. */
  static Map<String, String> attributes(String... pairs) {
    Map<String, String> all = new LinkedHashMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      all.put(pairs[i], pairs[i + 1]);
    }
    return all;
  }

  private void attributes(Map<String, String> all) {
    all.forEach((name, value) -> take(() -> xml.writeAttribute(name, value)));
  }

  /** An element that others stand in, until {@link #end}. */
  public SvgWriter begin(String element, String... attributes) {
    take(() -> xml.writeStartElement(element));
    attributes(attributes(attributes));
    return this;
  }

  public SvgWriter end() {
    take(xml::writeEndElement);
    return this;
  }

  public SvgWriter element(String element, String... attributes) {
    return element(element, attributes(attributes), "");
  }

  /** An element of words. */
  public SvgWriter text(String words, String... attributes) {
    return element("text", attributes(attributes), words);
  }

  /**
   * @param words of the element; empty where it has none
   */
  SvgWriter element(String element, Map<String, String> attributes, String words) {
    if (words.isEmpty()) {
      take(() -> xml.writeEmptyElement(element));
      attributes(attributes);
    } else {
      take(() -> xml.writeStartElement(element));
      attributes(attributes);
      take(() -> xml.writeCharacters(words));
      end();
    }
    return this;
  }

  /** The picture that a reader of SVG finds in the document itself. */
  void image(byte[] png, Map<String, String> attributes) {
    element("image", attributes, "");
    String data = "data:image/png;base64," + Base64.getEncoder().encodeToString(png);
    take(() -> xml.writeAttribute(XLINK, "href", data));
  }

  /** The document so far, whole. */
  public String svg() {
    take(() -> {
      // Ends the tag that was written last, which still takes attributes.
      xml.writeCharacters("");
      xml.flush();
    });
    return written + "</svg>";
  }
}
