export const readingsAreIn = (length: number): string => `${length} readings are in.`;
export const takeThemOut = 'Take them out';
export const row = (what: string, what2: number): string => `${what}, row ${what2}`;
export const anotherRow = 'Another row';
export const bestNextCheck = 'Best next check';
export const made = (part: string): string => `Made: ${part}`;
export const notDecided = 'not decided';
export const notOnTheVan = (what: string): string => `Not on the van: ${what}`;
export const needsNothing = 'needs nothing';
export const littleToLearnFromThisNow = 'little to learn from this now';
export const allChecks = '← All checks';
export const needs = (needs: string): string => `needs ${needs}`;
export const canHarm = 'Can harm:';
export const nothingIsEnteredYet = 'Nothing is entered yet';
export const onTheSimulatedVehicle = 'On the simulated vehicle …';
export const runThisCheckOnTheSimulatedVehicle = 'Run this check on the simulated vehicle';
export const asReadAt = (clock: string): string =>
  `The hold is filled in as it was read at ${clock}. Change it if it reads otherwise now.`;
export const instead = (name: string): string => `Or instead: ${name}`;
export const whatItSays = 'What it says';
export const nothingIsEnteredYetTitle = 'Nothing is entered yet.';
export const measuredAgainConfirmed = 'Measured again: confirmed';
export const saveThisCheck = 'Save this check';
export const checks = (name: string): string => `Checks: ${name}`;
export const checksTitle = 'Checks';
export const allParts = 'All parts';
export const rankedByWhatTheyWouldSettlePer = 'Ranked by what they would settle, per minute.';
export const codesAReadingOrTheIntakeWill = 'Codes, a reading or the intake will rank them.';
export const checksToDo = 'Checks to do';
export const recordAFindingAtAPart = 'Record a finding at a part';
export const knownGoodPartFitted = 'Known-good part fitted';
export const foundByChecks = 'Found by checks';
export const unknownCheckKeptOnRecordNotUsed = ' · unknown check: kept on record, not used in the diagnosis';
export const notDecidedTitle = 'Not decided';
export const alongTheLine = 'Along the line';
export const notLookedAt = 'not looked at';
export const judgement = 'Judgement';
export const isThatPossible = 'Is that possible?';
export const noResultFromItMeasureAgainAnd = 'No result from it. Measure again and enter the value.';
export const notDecidedYet = 'Not decided yet';
export const to = (low: string, high: string): string => `${low} to ${high}`;
export const atMost = (high: string): string => `at most ${high}`;
export const valueLessPumpDiscsGoingUpRings = (label: string): string =>
  `Value less pump, ${label}: discs going up, rings going down; the band is the tolerance.`;
export const pumpTestReadingsOffByAtMost = (
  length: number,
  figure: string,
  label: string,
  allowed: string,
  label2: string,
): string =>
  `Pump test: ${length} readings, off by at most ${figure} ${label}; the band is ±${allowed} ${label2}`;
export const appliedTo = (full: string, label: string): string => `applied, to ${full} ${label}`;
export const useLiveValue = 'use live value';
export const aFigureWithItsUnitIsBest = 'A figure with its unit is best';
export const enterFor = (name: string): string => `Enter for ${name}`;
export const found = 'Found';
export const recordSFromNow = (seconds: number): string => `Record ${seconds} s from now`;
export const recordingSToGo = (fixed: string): string => `Recording: ${fixed} s to go`;
export const inThePlaceOf = 'In the place of';
export const whatWasPutIn = 'What was put in';
export const kindPartNumberWhereFrom = 'Kind, part number, where from';
export const didItChangeAnything = 'Did it change anything?';
export const noTheOldOneIsNotAt = 'no: the old one is not at fault';
export const yesTheOldOneIsAtFault = 'yes: the old one is at fault';
export const notClear = 'not clear';
export const valuesOldAndKnownGood = 'Values, old and known-good';
export const oldPartRefitted = 'Old part refitted';
export const saveTheTest = 'Save the test';
export const whatIfThisCheckSays = 'What if this check says …';
export const needsCodesAReadingOrTheIntake = 'Needs codes, a reading or the intake first.';
export const enterNumbers = 'Enter numbers';
