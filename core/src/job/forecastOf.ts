import type { Limits } from '../limits/index.ts';
import { forecastBurn, type BurnForecast, type JobBurn } from '../treatment/index.ts';

/** What the burn model says of a burn; nothing where it says nothing, or not yet. */
export type ForecastOf = (burn: JobBurn) => BurnForecast | undefined;

/** Asks the burn model once for each burn: what is treated and what is set back mostly mean the same one. */
export function byModel(limits: Limits): ForecastOf {
  const asked = new Map<string, BurnForecast | undefined>();
  return (burn) => {
    const key = JSON.stringify([burn.plan, burn.displacementL]);
    if (!asked.has(key)) {
      const forecast = forecastBurn(burn, limits);
      asked.set(key, forecast.ok ? forecast.value : undefined);
    }
    return asked.get(key);
  };
}
