export const pressureAndSoot = 'Pressure and soot';
export const proof = 'Proof';
export const sensors = 'Sensors';
export const beforeATreatment = 'Before a treatment';
export const treatmentChances = 'Treatment chances';
export const aRegenerationWatched = 'A regeneration, watched';
export const cleaningInPlace = 'Cleaning in place';
export const timeAndPrice = 'Time and price';
export const guidedChecks = 'Guided checks';
export const conditionsForJudging = 'Conditions for judging';
export const likelihoodThresholds = 'Likelihood thresholds';
export const assumedWithoutAReading = 'Assumed without a reading';
export const everyJudgementUsesTheseStarting =
  'Every judgement uses these. Starting values are working rules; the vehicle maker’s data come first. Changes make a new version; signed-off jobs keep their limits.';
export const profile = 'Profile';
export const generalForEveryFamilyWithoutItsOwn = 'General, for every family without its own';
export const noProfileOfItsOwnYet = ' (no profile of its own yet)';
export const version = (version: number, createdBy: string, createdAt: string): string =>
  `Version ${version}, ${createdBy}, ${createdAt}`;
export const noProfileOfItsOwnYetJudged = (version: number): string =>
  `No profile of its own yet: judged by the general one, version ${version}, whose values stand here.`;
export const startingValuesNothingChangedYet = 'Starting values; nothing changed yet.';
export const aLeadCanChangeThem = ' A lead can change them.';
export const noteOnThisVersion = 'Note on this version';
export const someValuesAreNotRightTheyAre = 'Some values are not right; they are marked above.';
export const appliedOpenJobsNowUseTheseLimits = 'Applied. Open jobs now use these limits.';
export const apply = 'Apply';
export const changedFrom = (value: string): string => `· changed from ${value}`;
export const whyThisValue = 'Why this value';
export const sourceFor = (label: string): string => `Source for: ${label}`;
