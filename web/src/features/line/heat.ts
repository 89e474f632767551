/** Our heat scale: graphite to ember to white, ordered in greyscale too. */
const STOPS = ['#2e2a27', '#7a2e12', '#c2410c', '#f08a3c', '#fbd9a8', '#fff8ee'] as const;
export const HEAT_LOW_C = 20;
export const HEAT_HIGH_C = 700;

const channels = (hex: string): [number, number, number] => [
  Number.parseInt(hex.slice(1, 3), 16),
  Number.parseInt(hex.slice(3, 5), 16),
  Number.parseInt(hex.slice(5, 7), 16),
];

/** Colour of gas at a temperature, °C. */
export function heatColour(celsius: number): string {
  const share =
    Math.min(Math.max((celsius - HEAT_LOW_C) / (HEAT_HIGH_C - HEAT_LOW_C), 0), 1) * (STOPS.length - 1);
  const at = Math.min(Math.floor(share), STOPS.length - 2);
  const low = channels(STOPS[at] as string);
  const high = channels(STOPS[at + 1] as string);
  const mixed = low.map((value, i) => Math.round(value + ((high[i] as number) - value) * (share - at)));
  return `rgb(${mixed.join(' ')})`;
}
