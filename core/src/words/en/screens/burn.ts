export const n0MinTopInletFaceBottomBehind = (lengthMm: string): string =>
  `0 min · top: inlet face, bottom: ${lengthMm} behind it`;
export const min = (minutes: string): string => `${minutes} min`;
export const temperatureOfTheBedOverMinHottest = (
  minutes: string,
  peakBedC: string,
  fixed: string,
  peakAtMm: string,
): string =>
  `Temperature of the bed over ${minutes} min, hottest ${peakBedC} after ${fixed} min, ${peakAtMm} behind its face`;
export const limit = (limitC: string): string => `limit ${limitC}`;
export const howCertainRunItTimes = (RUNS: number): string => `How certain? Run it ${RUNS} times`;
export const runsOf = (done: number, RUNS: number): string => `Runs, ${done} of ${RUNS}`;
export const ofIt = (done: number, RUNS: number, part: string): string => `${done} of ${RUNS}${part}`;
export const stop = 'Stop';
export const n90OfRunsHottestSootLeft = (span: string, span2: string): string =>
  `90 % of runs: hottest ${span}, soot left ${span2}.`;
export const ofRunsExceedTheBedLimitOf = (percent: string, limitC: string): string =>
  `${percent} of runs exceed the bed limit of ${limitC}.`;
export const noAnswer = 'No answer';
export const bareWall = 'bare wall';
export const coatedWall = 'coated wall';
export const additiveInTheFuel = 'additive in the fuel';
export const whatThisRegenerationWouldDo = 'What this regeneration would do';
export const beforeTheFilter = 'Before the filter';
export const whatHelpsSootOxidation = 'What helps soot oxidation';
export const theEngineDropsToIdleInIt = 'The engine drops to idle in it';
export const dropsToIdleAfter = 'Drops to idle after';
export const burning = 'Burning …';
export const noBurn = 'No burn';
export const assumed = 'Assumed:';
export const regeneratesFullyWithinBedLimits = 'Regenerates fully within bed limits';
export const withinBedLimitsSootLeft = 'Within bed limits, soot left';
export const tooHotForThisBed = 'Too hot for this bed';
export const mostOfItBurnsInMin = (fixed: string): string => `Most of it burns in ${fixed} min.`;
export const theSameAsATable = 'The same as a table';
export const minWithin = 'min';
export const soot = (label: string): string => `soot, ${label}`;
export const inIt = (label: string): string => `in, ${label}`;
export const hottest = (label: string): string => `hottest, ${label}`;
export const out = (label: string): string => `out, ${label}`;
export const searching = 'Searching …';
export const findTheHighestSafeSootLoad = 'Find the highest safe soot load';
export const upTo = 'Up to';
export const theBedKeepsItsEvenIfThe = (limitC: string, part: string): string =>
  `the bed keeps its ${limitC} even if the engine drops to idle at the worst moment${part}.`;
export const higherLoadsNotSearched = '; higher loads not searched';
export const ready = 'Ready';
export const answersBy = (what: number, authorName: string, part: string): string =>
  `${what} answers by ${authorName}${part}`;
export const withIt = (helper: string): string => `, with ${helper}`;
export const answerAgain = 'Answer again';
export const yesOrNo = 'Yes or no?';
export const enterANumber = (label: string): string => `${label}: enter a number`;
export const whoIsTheSecondPerson = 'Who is the second person?';
export const beforeItBegins = 'Before it begins';
export const yes = 'Yes';
export const no = 'No';
export const theSecondPerson = 'The second person';
export const oneDrivesOneReads = 'One drives, one reads';
export const enterTheAnswers = 'Enter the answers';
export const readEnterTheAnswers = 'I have read this: enter the answers';
export const yesToBothEnter = (read: boolean): string =>
  read ? 'Yes to both: enter' : 'Yes to both, and I have read this: enter';
export const regenerationNoLiveValues = 'Regeneration: no live values';
export const burn = (what: string): string => `Burn, ${what}`;
export const bed = (bed: string): string => `, bed ${bed}`;
export const parkedInstead = 'Parked instead';
export const onADriveInstead = 'On a drive instead';
export const nothingCanBeStartedHere = 'Nothing can be started here';
export const theJobIsSignedOff = 'The job is signed off.';
export const youMayViewButNotEdit = 'You may view but not edit.';
export const anotherRunIsWorthwhile = 'Another run is worthwhile.';
export const noOtherRun = 'No other run.';
export const readFirstThenDecideOnAnotherRun = 'Read first, then decide on another run.';
export const regenerationsOnThisJob = 'Regenerations on this job';
export const prepareAnotherRun = 'Prepare another run';
export const takeTheReading = 'Take the reading';
export const burnWithNumber = (number: number, at: string, part: string): string =>
  `Burn ${number}, ${at}: ${part}`;
export const noEndRecorded = 'no end recorded.';
export const behindIt = 'behind it';
export const bedByTheModel = 'bed, by the model';
export const sootByTheModel = 'soot, by the model';
export const burnOfNumber = (number: number): string => `Burn ${number}`;
export const burnOfNumberAtNamePart = (number: number, at: string, name: string, part: string): string =>
  `Burn ${number}, ${at}: ${name}${part}`;
export const noValuesRecorded = 'No values recorded.';
export const afterTheFilter = 'after the filter';
export const sootByTheCounter = 'soot, by the counter';
export const theFigures = 'The figures';
export const engineSpeed = 'Engine speed';
export const egt1BeforeTurbo = 'EGT 1, before turbo';
export const egt2BeforeCatalyst = 'EGT 2, before catalyst';
export const egt3BeforeFilter = 'EGT 3, before filter';
export const egt4AfterFilter = 'EGT 4, after filter';
export const coolant = 'Coolant';
export const sootCounter = 'Soot counter';
export const theToolReportsTheEnd = 'The tool reports the end';
export const stoppedWhy = 'Stopped, why';
export const dosingOffFlowKeptUp = 'Dosing off, flow kept up';
export const stoppedByHand = 'Stopped by hand';
export const iHaveStoppedTheDosing = 'I have stopped the dosing';
export const blueSmoke = 'Blue smoke';
export const flames = 'Flames';
export const whatTheToolShows = 'What the tool shows';
export const whatTheToolShowsMinIntoIt = (floor: number): string =>
  `What the tool shows, ${floor} min into it`;
export const lastReadMinAgo = (sinceMin: number): string => `· last read ${sinceMin} min ago`;
export const saveTheseValues = 'Save these values';
export const watchEndedSeeTheResult = 'Watch ended: see the result';
export const theSimulatedVehicleWasRemovedNo = 'The simulated vehicle was removed: no live values';
export const endTheWatch = 'End the watch';
export const notStopped = 'Not stopped:';
export const stopItWithTheToolOrAt = 'Stop it with the tool or at the vehicle; keep the revs up.';
export const stopDosingKeepTheRevsUp = 'Stop dosing, keep the revs up';
export const stoppedAtTheVehicle = 'Stopped at the vehicle';
export const iHaveStoppedItAtTheVehicle = 'I have stopped it at the vehicle';
export const noLiveValuesAndNoRemoteStop = (part: string): string =>
  `${part} No live values and no remote stop: keep the revs up, stop dosing with the tool.`;
export const linkLost = 'Link lost.';
export const reconnect = 'Reconnect';
export const theEcuReports = 'The ECU reports:';
export const keyPedalAndRoad = 'Key, pedal and road';
export const whatBlocksIt = 'What blocks it';
export const filterAndSoot = 'Filter and soot';
export const nothingInTheFilterBlocksIt = 'Nothing in the filter blocks it.';
export const ofSootTheBedComesTo = 'of soot: the bed comes to';
export const andTo = ', and to';
export const ifTheEngineDropsToIdleLimit = (limitC: string, sootLeftG: string): string =>
  `if the engine drops to idle; limit ${limitC}. ${sootLeftG} left.`;
export const commandedThroughTheScanLink = 'Commanded through the scan link';
export const commandedByAnotherToolWatchedByThe = 'Commanded by another tool, watched by the link';
export const atTheVehicleNow = 'At the vehicle now';
export const connect = 'Connect';
export const startTheRegeneration = 'Start the regeneration';
export const anotherToolStartedItWatchItHere = 'Another tool started it: watch it here';
export const notYet = (unmet: string): string => `Not yet: ${unmet}.`;
export const firstAnswerReadAndFixEverythingOn = 'First answer, read and fix everything on this page.';
export const preconditions = 'Preconditions';
export const commandedByAnotherToolReadByHand = 'Commanded by another tool, read by hand';
export const whoReads = 'Who reads';
export const withLiveValuesTheBedIsEstimated =
  'With live values the bed is estimated continuously, and dosing stops by itself if a rule is broken.';
export const connectToTheVehicle = 'Connect to the vehicle';
export const orCommandItWithAnotherToolAnd = (part: string): string =>
  `Or command it with another tool and type its values every few minutes. Engine warm, ${part}, no blocking code: the tool tells.`;
export const standing = 'standing';
export const startedReadByHand = 'Started: read by hand';
export const twoPeopleOnTheDrive = 'Two people on the drive';
export const drives = 'Drives';
export const inOneGearEvenPedalFor15 = (span: string): string =>
  `${span} in one gear, even pedal, for 15–20 min`;
export const eyesOnTheRoadTheScreenIs = 'Eyes on the road: the screen is the other one’s';
export const atAStopNeutralHold2000Rpm = 'At a stop: neutral, hold 2000 rpm, never idle during regeneration';
export const parksOnlyWhenTheReaderSaysCool = 'Parks only when the reader says “cool”; never over dry grass';
export const reads = 'Reads';
export const saysThreeWordsOnlyBurningStopCool = 'Says three words only: “burning”, “stop”, “cool”';
export const startsWatchesStopsItHere = 'Starts, watches, stops it here';
export const doesNotHandTheScreenOverWhile = 'Does not hand the screen over while it moves';
export const heating = 'Heating';
export const burningTitle = 'Burning';
export const cooling = 'Cooling';
export const cool = 'Cool';
export const beforeTurbo = 'before turbo';
export const beforeCatalyst = 'before catalyst';
export const beforeFilter = 'before filter';
export const afterFilter = 'after filter';
export const now = 'Now';
export const exhaustTemperaturesFromTheEngine = 'Exhaust temperatures from the engine outward';
export const hottestBed = 'Hottest bed';
export const nothingReadAfterTheFilter = 'nothing read after the filter';
export const byLimit = (part: string, limitC: string): string => `by ${part}; limit ${limitC}`;
export const theBurnModel = 'the burn model';
export const theSensorAfterIt = 'the sensor after it';
export const cleanTo = (part: string, part2: string, sootAfterCleanG: string): string =>
  `${part}${part2}; clean to ${sootAfterCleanG}`;
export const noCounter = 'no counter';
export const byTheCounter = 'by the counter';
export const byTheModel = (sootG: string): string => `; ${sootG} by the model`;
export const stillTakes = 'Still takes';
export const unknownAtThisTemperature = 'unknown at this temperature';
export const byTheModelAtThisRate = 'by the model, at this rate';
export const dosingOffFor = 'Dosing off for';
export const flowKeptUpTo = (cooledBedC: string): string => `flow kept up to ${cooledBedC}`;
export const idleNowWouldGive = 'Idle now would give';
export const overTheBedLimitKeepTheRevs = 'over the bed limit: keep the revs up';
export const underTheBedLimit = 'under the bed limit';
export const theBedByTheBurnModel = 'The bed by the burn model';
export const nowAndAheadIfNothingChanges = 'now, and ahead if nothing changes';
export const stoppedBy = 'Stopped by';
export const whatStopsIt = 'What stops it';
export const flamesOrAnOilFedFire = 'Flames, or an oil-fed fire';
export const theToolDidNotAnswer = 'The tool did not answer.';
export const engineRunning = 'Engine running';
export const rpm = (rpm: string): string => `${rpm} rpm`;
export const coolantWarm = 'Coolant warm';
export const fromTo = (c: string, coolantWarmC: string, coolantMostC: string): string =>
  `${c}, from ${coolantWarmC} to ${coolantMostC}`;
export const vehicleStationary = 'Vehicle stationary';
export const onTheRoad = 'On the road';
export const toNeeded = (kmPerH: string, driveLowKmPerH: string, driveHighKmPerH: string): string =>
  `${kmPerH}, ${driveLowKmPerH} to ${driveHighKmPerH} needed`;
export const egtBeforeTheFilterRead = 'EGT before the filter read';
export const notReadBedAndRulesCannotBe = 'not read: bed and rules cannot be judged';
export const noActiveCode = 'No active code';
export const codesNotReadInThisSession = 'codes not read in this session';
export const theEcuDecidesWhetherItRegenerates = (active: string): string =>
  `${active}: the ECU decides whether it regenerates with them`;
