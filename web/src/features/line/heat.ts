/** Our heat scale: graphite to ember to white, ordered in greyscale too. */
const STOPS = ['#2e2a27', '#7a2e12', '#c2410c', '#f08a3c', '#fbd9a8', '#fff8ee'] as const;
export const HEAT_LOW_C = 20;
export const HEAT_HIGH_C = 700;

const channels = (hex: string): [number, number, number] => [
  Number.parseInt(hex.slice(1, 3), 16),
  Number.parseInt(hex.slice(3, 5), 16),
  Number.parseInt(hex.slice(5, 7), 16),
];

/** Colour of gas or bed at a temperature, °C; the scale ends at the given temperatures. */
export function heatColour(celsius: number, lowC = HEAT_LOW_C, highC = HEAT_HIGH_C): string {
  const [red, green, blue] = heatOf(celsius, lowC, highC);
  return `rgb(${red} ${green} ${blue})`;
}

/** The same as its three channels, 0–255: for pictures that are painted point by point. */
export function heatOf(celsius: number, lowC: number, highC: number): readonly [number, number, number] {
  const share = Math.min(Math.max((celsius - lowC) / (highC - lowC), 0), 1) * (STOPS.length - 1);
  const at = Math.min(Math.floor(share), STOPS.length - 2);
  const low = channels(STOPS[at] as string);
  const high = channels(STOPS[at + 1] as string);
  const mix = (i: 0 | 1 | 2): number => Math.round(low[i] + (high[i] - low[i]) * (share - at));
  return [mix(0), mix(1), mix(2)];
}
