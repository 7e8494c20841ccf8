package zebrawood.words;

/** Accents every letter and lengthens every word: what came from no bundle stands out. */
final class PseudoLanguage {
  private static final String PLAIN = "aceinorsuyzACEINORSUYZdlghtDLGHTbfkmpvwxBFKMPVWXjqJQ";
  private static final String ACCENTED = "áçéíñóŕšúýžÁÇÉÍÑÓŔŠÚÝŽďľğħťĎĽĞĦŤƀƒķɱƿṽŵẋßƑĶṀṖṼŴẊĵʠĴǪ";

  private PseudoLanguage() {}

  static String of(String words) {
    StringBuilder said = new StringBuilder();
    int letters = 0;
    for (int i = 0; i < words.length(); i++) {
      char letter = words.charAt(i);
      int at = PLAIN.indexOf(letter);
      said.append(at < 0 ? letter : ACCENTED.charAt(at));
      letters += Character.isLetter(letter) ? 1 : 0;
      boolean ends = i + 1 == words.length() || !Character.isLetter(words.charAt(i + 1));
      if (ends && Character.isLetter(letter) && letters > 2) {
        said.append("ō".repeat(1 + letters / 4));
      }
      letters = Character.isLetter(letter) ? letters : 0;
    }
    return said.toString();
  }
}
