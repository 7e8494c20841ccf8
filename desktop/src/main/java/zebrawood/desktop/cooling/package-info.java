/**
 * The cooling sheet: room, coolant and proofs, and the thermometer that shows both limits.
 *
 * <p>{@code CoolingModel} holds fields and parts, {@code Thermometer} the thermometer with dew
 * point and ceiling, {@code CoolingPractice} a loop with a bubble, a bridged interlock or dirt in
 * it.
 */
package zebrawood.desktop.cooling;
