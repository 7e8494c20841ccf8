package zebrawood.records.json;

/** Where in a JSON document a value stands; written out only for an error message. */
sealed interface DocumentPath {
  /** The document itself. */
  record Top() implements DocumentPath {}

  /** A field of an object. */
  record Field(DocumentPath of, String name) implements DocumentPath {}

  /** An item of a list. */
  record Item(DocumentPath of, int index) implements DocumentPath {}

  DocumentPath TOP = new Top();

  /** Such as {@code points[2].gapMm}. */
  default String inWords() {
    return switch (this) {
      case Top t -> "the input";
      case Field(Top t, String name) -> name;
      case Field(DocumentPath of, String name) -> of.inWords() + "." + name;
      case Item(DocumentPath of, int index) -> of.inWords() + "[" + index + "]";
    };
  }
}
