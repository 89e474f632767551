import type { StatedFacts } from './rawLog.ts';
import { cutTo, READ_BOUNDS } from './readBounds.ts';

const number = (text: string | undefined): number => Number((text ?? '').replace(',', '.'));

const SIZE =
  /(?:displacement|engine (?:size|capacity)|hubraum|cylindr[ée]e|cilindrada|cilindrata|pojemno[śs][ćc](?: silnika)?)\D{0,20}?(\d+(?:[.,]\d+)?)\s*(cm3|cm³|ccm|cc|ml|l|litre|liter|litros?|litri|litres?)?(?![\w³])/i;
const RATE =
  /(?:sample rate|sampling(?: rate| frequency)?|abtastrate|abtastfrequenz|fr[ée]quence|frecuencia|frequenza|cz[ęe]stotliwo[śs][ćc](?: pr[óo]bkowania)?|rate|logging rate)\D{0,25}?(\d+(?:[.,]\d+)?)\s*(hz|\/s|per second|samples\/s|1\/s)/i;
const INTERVAL =
  /(?:sample (?:interval|time|period)|sampling (?:interval|period)|interval|abtastintervall|abtastzeit|intervalle|intervalo|intervallo|interwa[łl]|period)\D{0,20}?(\d+(?:[.,]\d+)?)\s*(ms|s|sec|seconds)\b/i;
const VEHICLE =
  /^[#" \t]*(?:vehicle|fahrzeug|car|v[ée]hicule|veh[íi]culo|veicolo|pojazd)"?\s*[:;,=\t|]?\s*"?(.+)$/im;

/** Facts stated in lines above a table: vehicle, engine size, sample rate. */
export function statedFacts(above: string): StatedFacts {
  const preamble = cutTo(above, READ_BOUNDS.preambleLength);
  const size = SIZE.exec(preamble);
  const rate = RATE.exec(preamble);
  const interval = INTERVAL.exec(preamble);
  const vehicle = VEHICLE.exec(preamble)?.[1]
    ?.replace(/["\s;,|\t]+$/, '')
    .trim();
  const unit = size?.[2]?.toLowerCase();
  const value = number(size?.[1]);
  // Without a unit, 1998 can only be cubic centimetres and 2.0 only litres.
  const litres =
    unit === undefined ? (value > 100 ? value / 1000 : value) : unit.startsWith('l') ? value : value / 1000;
  const seconds = number(interval?.[1]) * (interval?.[2]?.toLowerCase() === 'ms' ? 0.001 : 1);
  const hz = rate ? number(rate[1]) : seconds > 0 ? 1 / seconds : Number.NaN;
  return {
    ...(vehicle ? { vehicle: vehicle.slice(0, 200) } : {}),
    ...(litres > 0.3 && litres < 30 ? { displacementL: litres } : {}),
    ...(hz > 0 && hz < 10_000 ? { sampleHz: hz } : {}),
  };
}
