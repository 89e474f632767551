export const causesByFamily = 'Causes by family';
export const noneYetConfirmedCausesAreCounted = 'None yet: confirmed causes are counted here.';
export const vehicle = 'vehicle';
export const vehicles = 'vehicles';
export const leftAsItWas = (open: number): string => `${open} left as it was`;
export const returnsAndReasons = 'Returns and reasons';
export const ofTreatedFiltersWereFullAgain = (
  cameBack: number,
  cleaned: number,
  km: string,
  days: number,
): string =>
  `${cameBack} of ${cleaned} treated filters were full again within ${km}, or ${days} days if the distance is unknown.`;
export const noCauseWasFound = 'no cause was found';
export const backAfter = (part: string, at: string): string => `back after ${part}, ${at},`;
export const noCauseWasFoundAtEitherVisit = 'No cause was found at either visit.';
export const knownAndLeftAtThePreviousVisit = ', known and left at the previous visit';
export const dueNext = 'Due next';
export const mostLikelyToReturn = 'Most likely to return';
export const order = 'Order';
export const allFamilies = 'All families';
export const withAForecast = (known: number, part: string, part2: string): string =>
  `${known} ${part} with a forecast${part2}`;
export const moreBeingCalculated = (waiting: number): string => `; ${waiting} more being calculated …`;
export const haveNoForecastYetNoReadingSince = (unknown: number): string =>
  `; ${unknown} have no forecast yet: no reading since the last work.`;
export const lookingAhead = 'Looking ahead …';
export const restrictionOverDistance = 'Restriction over distance';
export const backSoon = 'Back soon';
export const pagesOfTheFleet = 'Pages of the fleet';
export const back = 'Back';
export const toOf = (what: number, min: number, known: number): string => `${what} to ${min} of ${known}`;
export const on = 'On';
export const foundLeftDashedTheLimitAndThe =
  '✕ found, ● left, dashed: the limit and the forecast to it. Bar: 80 % range; post: median; upright line: today. Back soon: chance to be due within the limit distance.';
export const itsRestrictionOverDistance = ': its restriction over distance';
export const dueNowOverTheLimitOn = (at: string): string => `Due now: over the limit on ${at}`;
export const aroundAfter = (part: string, value: string, km: string, at: string): string =>
  `${part} around ${value}, ${km} after ${at}`;
export const lateDueByItsTrend = 'Late: due by its trend';
export const dueAfterMileagePerYearUnknown = (km: string, at: string): string =>
  `Due ${km} after ${at}; mileage per year unknown`;
export const backSoonTitle = 'Back soon:';
export const open = (plate: string): string => `Open ${plate}`;
export const next = (title: string): string => `Next: ${title}`;
export const jobOpen = 'Job open';
