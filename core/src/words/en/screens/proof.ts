export const beforeAndAfterAtEqualFlow = 'Before and after at equal flow';
export const goodTo = 'good to';
export const deltapInZeroRemovedDashNotRead = (unit: string): string =>
  `ΔP in ${unit}, zero removed; dash: not read near this flow.`;
export const saveTheDriveCheck = 'Save the drive check';
export const readingsOnTheRoadNeedTwoPeople = 'Readings on the road need two people: one drives, one reads.';
export const sootCounterAtTheStart = 'Soot counter at the start';
export const sootCounterAtTheEnd = 'Soot counter at the end';
export const highestBeforeTheFilter = 'Highest before the filter';
export const onAPullByTheScanTool = 'On a pull, by the scan tool';
export const fullPowerAvailable = 'Full power available';
export const reportedByTheCustomer = 'Reported by the customer';
export const saveTheDrive = 'Save the drive';
export const backToTheComparison = 'Back to the comparison';
export const codesAfterTheDrive = 'Codes after the drive';
export const takeAnotherAfterReading = 'Take another after reading';
export const takeAnAfterReadingToo = 'Take an after reading too';
export const contradictedByTheNextVisit = 'Contradicted by the next visit';
export const openJob = (number: number): string => `Open job ${number}`;
export const confidence = 'Confidence';
export const fromTheScatterOfTheReadingsHigh = (
  confidenceHighPercent: string,
  confidenceFairPercent: string,
  part: string,
): string =>
  `from the scatter of the readings; high from ${confidenceHighPercent} %, fair from ${confidenceFairPercent} %${part}.`;
export const loweredBy = (reasons: string): string => `; lowered by: ${reasons}`;
export const missing = 'Missing.';
export const assumed = (assumed: string): string => `Assumed: ${assumed}.`;
export const blocked = 'Blocked';
export const ash = 'Ash';
export const deltapAtRest = 'ΔP at rest';
export const oilLife = 'Oil life';
export const codesStored = 'Codes stored';
export const readItFirstItIsLostAfterwards = 'Read it first: it is lost afterwards';
export const before = (what: string): string => `${what} before`;
export const now = (what: string): string => `${what} now`;
export const ignitionCyclesAfterIt = 'Ignition cycles after it';
export const saveDoneAnyway = 'Save: done anyway';
export const saveAsDone = 'Save as done';
export const resets = 'Resets';
export const resetsInThisOrder = 'Resets, in this order';
export const noResetsDue = 'No resets due.';
export const noReset = (length: number): string => `No reset (${length})`;
export const doneAnywayWithAnotherTool = 'Done anyway, with another tool';
export const doItByTheScanLinkIt = 'Do it by the scan link: it records the figures itself';
