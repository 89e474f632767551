/**
 * How surely a thing shows, in words that can be argued: of how many vehicles that have the cause it is seen. No number here is finer
 * than a practitioner could tell it, and none is fitted to the simulated vehicle.
 */

/** What is seen is the cause itself; only a slip misses it. */
export const itself = 0.997;
/** Nineteen of twenty. */
export const surely = 0.95;
/** Four of five. */
export const mostly = 0.8;
/** Three of five. */
export const often = 0.6;
/** Two of five. */
export const atTimes = 0.4;
/** One of four. */
export const sometimes = 0.25;
/** One of eight. */
export const seldom = 0.12;
/** One of twenty-five. */
export const hardly = 0.04;
