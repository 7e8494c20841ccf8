/**
 * Quantities: what can be measured, the units that people type and the ones that are shown.
 *
 * <p>A {@link zebrawood.quantity.Quantity} has one canonical unit, in which values are kept and
 * computed; {@link zebrawood.quantity.DisplayUnits} says which units a person wants to see; an
 * {@link zebrawood.quantity.Amount} is a value that is to be said; {@link
 * zebrawood.quantity.TypedQuantity} understands what was typed. Imports nothing of the product.
 */
package zebrawood.quantity;
