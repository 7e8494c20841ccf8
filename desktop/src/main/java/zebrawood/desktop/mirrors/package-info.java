/**
 * The mirrors sheet: marks on tape, the opening of the head with marks now and after, the turns.
 */
package zebrawood.desktop.mirrors;
