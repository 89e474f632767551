export const ruledOut = 'ruled out';
export const cause = 'Cause';
export const causes = 'Causes';
export const repairedForNow = 'repaired for now';
export const repairedLookForWhatItHid = 'Repaired: look for what it hid';
export const somethingElseInOwnWords = 'something else, in own words';
export const thatIs = 'That is';
export const inOwnWords = 'In own words';
export const saveTheCause = 'Save the cause';
export const suggestedAsAQuickCheckOnOf = (what: string): string =>
  `Suggested as a quick check on ${what}, of the same customer and family.`;
export const mostLikelyOnArrival = 'Most likely on arrival';
export const likelyCauses = 'Likely causes';
export const nothingStandsOutYet = 'Nothing stands out yet.';
export const oneExplanationHoldsFrom = (round: number, explainedPercent: string, what: string): string =>
  `One explanation holds, ${round} % (from ${explainedPercent} %): ${what}.`;
export const doesNotFit = (what: string): string => `Does not fit: ${what}.`;
export const not = 'not ';
export const repaired = 'Repaired:';
export const notReadAgainYet = 'Not read again yet.';
export const repeatCodesAndBaselineItMayHave = 'Repeat codes and baseline: it may have hidden something else';
export const confirmThisCause = 'Confirm this cause';
export const forIt = 'For it';
export const againstIt = 'Against it';
export const notSeen = 'not seen: ';
