/**
 * Water in air, and water that may freeze: what more than one station asks of a climate.
 *
 * <p>Temperatures in °C, relative humidity in percent, pressures in hPa. {@link
 * zebrawood.climate.Air} gives the dew point (Buck 1981, see docs/physics.md), {@link
 * zebrawood.climate.Bucket} what a bucket of water does in a working day, {@link
 * zebrawood.climate.Coldest} how much glycol a coldest night asks for. Imports measure, quantity
 * and words only.
 */
package zebrawood.climate;
