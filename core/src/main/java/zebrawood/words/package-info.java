/**
 * What is said, apart from how it is said.
 *
 * <p>The core says {@link zebrawood.words.Message}s (a key and its arguments) and {@link
 * zebrawood.words.Advice}; a {@link zebrawood.words.Phrasebook} makes sentences of them, from the
 * bundles, in a language and in the units on display, alike for the window, for paper and for
 * {@code solve}. A key's first word names its bundle: {@code site.earth.unread} stands in {@code
 * zebrawood/site/words.properties}; a word without a bundle of its own stands in {@code
 * zebrawood/words}. Another language is another file beside these.
 *
 * <p>May import {@code zebrawood.quantity} only.
 */
package zebrawood.words;
