export const exhaustLine = 'Exhaust line';
export const jobWithNumber = (number: number): string => ` · job ${number}`;
export const signedOffWithin = ' · signed off';
export const filterSizeNotKnown = 'Filter size not known';
export const asAStrip = 'As a strip';
export const drawIt = 'Draw it';
export const theWholeLine = ', the whole line';
export const lineDrawnWholeScrollsSideways = 'Line drawn whole, scrolls sideways';
export const asKnownOn = (at: string): string => `As known on ${at}`;
export const nothingCanBeEnteredHere = 'Nothing can be entered here.';
export const backToNow = 'Back to now';
export const whatWeKnow = 'What we know';
export const whatWeKnowWithPart = (part: string): string => `What we know${part}`;
export const foldWhatWeKnow = 'Fold what we know';
export const mostLikely = 'Most likely';
export const nothingStandsOutYet = 'Nothing stands out yet';
export const nextStep = 'Next step';
export const nothingLeftToDo = 'Nothing left to do.';
export const workingOutTheNextStep = 'Working out the next step …';
export const fold = 'Fold';
export const whyAndWhatThen = 'Why, and what then';
export const then = (what: string): string => `Then: ${what}`;
export const thenTitle = 'Then';
export const stage = (what: string): string => `Stage: ${what}`;
export const likely = 'Likely';
export const evidence = 'Evidence';
export const evidenceWithLeft = (left: number): string => `Evidence · ${left}`;
export const readings = 'Readings';
export const openOnTheLine = 'Open on the line';
export const inhibitsRegeneration = 'Inhibits regeneration';
export const sootByPressureAfter = 'Soot by pressure, after';
export const ifThereIsNoAshLimit = (span: string, sootAfterCleanG: string): string =>
  `${span} if there is no ash · limit ${sootAfterCleanG}`;
export const noReadingYet = 'No reading yet.';
export const restriction = (name: string): string => `${name}: restriction`;
export const clean = (value: string): string => `${value} × clean`;
export const limit = (low: string, high: string, limit: string): string =>
  `${low}–${high} · limit ${limit} ×`;
export const correctingTheEntryOf = (at: string): string => `Correcting the entry of ${at}`;
export const yourEntryReplacesItAtItsTime =
  'Your entry replaces it at its time; the original stays in the history.';
export const onOrder = 'On order';
export const openingTheJob = 'Opening the job …';
export const entered = (figure: string, figure2: string): string => `${figure}${figure2}: entered`;
export const thisDevice = 'this device';
export const goToTheReading = 'Go to the reading';
export const goToTheIntake = 'Go to the intake';
export const goToTheCodes = 'Go to the codes';
export const startThisCheck = 'Start this check';
export const enterTheRepair = 'Enter the repair';
export const confirmIt = 'Confirm it';
export const goToTheWork = 'Go to the work';
export const chooseTheTreatment = 'Choose the treatment';
export const goToTheTimer = 'Go to the timer';
export const openIt = 'Open it';
export const goToTheHandOver = 'Go to the hand-over';
export const itBurns = 'A regeneration runs';
export const onTheRoad = 'A regeneration drive runs';
export const begunAt = (clock: string, name: string): string => `Begun at ${clock} by ${name}.`;
export const nobodyLeavesIt = 'Stay with it until the filter has cooled.';
export const oneDrivesTheOtherReads = 'One drives, the other reads.';
export const watchIt = 'Go to the regeneration';
export const recordTheChoice = 'Record the choice';
export const waitFor = (clock: string): string => `Timer: ${clock}`;
export const meanwhile = 'In the meantime';
export const whileItCools: readonly string[] = [
  'Set out the fluid, gun and drip tray; put on gloves and goggles.',
  'Read and save the counters: soot, distance since regeneration, oil.',
  'Clean the sensor’s ports and hoses; look at the clips.',
];
export const whileItSoaks: readonly string[] = [
  'Read and save the counters: soot, distance since regeneration, oil.',
  'Set out new seals and clamps for refitting.',
];
export const whileItSteams: readonly string[] = [
  'Stay with it: steam and smoke for about ten minutes.',
  'Keep people away from the tailpipe.',
];
export const whileItWarmsUp: readonly string[] = [
  'Watch the coolant, and the temperatures before and after the filter.',
  'Look for leaks at every joint that was opened.',
];
export const theCustomerDecides = 'The customer decides';
export const offeredOn = (moment: string): string => `Offered on ${moment}.`;
export const aPartIsAwaited = 'A part is on order';
