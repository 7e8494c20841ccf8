package zebrawood.controller;

import zebrawood.measure.PlainValue;
import zebrawood.words.Message;

/**
 * One setting to be written. In documents it stands as its line.
 *
 * @param line as it is sent, without its end
 * @param meaning what it does, in plain words
 */
public record Write(String key, String value, String line, Message meaning) implements PlainValue {
  @Override
  public Object plainValue() {
    return line;
  }
}
