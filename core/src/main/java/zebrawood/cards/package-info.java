/**
 * Which setting gives a wanted look, on this stock, through this lens, on this machine, and does it
 * still?
 *
 * <p>A card of squares, power by speed, is planned ({@link zebrawood.cards.CardPlan}) and burnt;
 * how dark each came out is read by eye or in a scan ({@link zebrawood.cards.CardScan}); the
 * settings for a wanted darkness follow ({@link zebrawood.cards.CardChoose}); the same card burnt
 * again tells how much power is left ({@link zebrawood.cards.CardDrift}). What pulsed sources do as
 * they are set is worked out in {@link zebrawood.cards.Pulses}. Knows no other station.
 */
package zebrawood.cards;
