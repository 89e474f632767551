export const itMeasures = 'It measures';
export const ofIt = 'Of';
export const where = 'Where';
export const noneOfThese = 'none of these';
export const noKnownWord = 'no known word';
export const whatItIs = 'What it is';
export const whatIs = (heading: string): string => `What “${heading}” is`;
export const channels = 'Channels';
export const saidSoFarTapOneToRemove = 'Said so far; tap one to remove it';
export const keyOnEngineOff = 'Key on, engine off';
export const hold = 'Hold';
export const snapHighest = 'Snap, highest';
export const fullLoadPull = 'Full-load pull';
export const deltap = (pressureUnit: string): string => `ΔP, ${pressureUnit}`;
export const airMass = (massFlowUnit: string): string => `Air mass, ${massFlowUnit}`;
export const manifoldAbs = (pressureUnit: string): string => `Manifold, ${pressureUnit} abs.`;
export const filter = (temperatureUnit: string): string => `Filter, ${temperatureUnit}`;
export const beforeTurboAbs = (pressureUnit: string): string => `Before turbo, ${pressureUnit} abs.`;
export const coolant = (temperatureUnit: string): string => `Coolant, ${temperatureUnit}`;
export const theDeltapSensorsZeroIsRemovedFrom = 'The ΔP sensor’s zero is removed from every reading.';
export const pressuresIn = 'Pressures in';
export const oneMoreHold = 'One more hold';
export const aFullLoadPull = 'A full-load pull';
export const aSnap = 'A snap';
export const pressureBeforeTurboCoolant = 'Pressure before turbo, coolant';
export const anySpeedWillDoReadingsAreCompared =
  'Any speed will do: readings are compared at equal flow. Air mass gives the best flow; otherwise engine size is used.';
export const barometer = 'Barometer';
export const sootValue = 'Soot value';
export const fillLevel = 'Fill level';
export const row = (what: number): string => `Row ${what} · `;
export const enterTheReading = (purpose: string): string => `Enter the ${purpose} reading`;
export const itIsNotJson = 'It is not JSON.';
export const itIsNotAListOfHeadings = 'It is not a list of headings';
export const wasNotImported = (name: string, wrong: string): string => `${name} was not imported: ${wrong}`;
export const whatYourWorkshopSetEachColumnTo =
  'What your workshop set each column to. It applies to every later log, however the heading is written.';
export const imported = (taken: number, part: string): string => `${taken} ${part} imported.`;
export const heading = 'heading';
export const headings = 'headings';
export const headingTitle = 'Heading';
export const is = 'Is';
export const remember = 'Remember';
export const nothingCorrectedYetEveryColumnWas =
  'Nothing corrected yet: every column was read by its heading, or asked about.';
export const correctedHeadings = 'Corrected headings';
export const forget = (heading: string): string => `Forget “${heading}”`;
export const forgetTitle = 'Forget';
export const wordsLearnedFromThem = 'Words learned from them';
export const exportToAFile = 'Export to a file';
export const importFromAFile = 'Import from a file';
export const nothingWasKeptChooseAnotherFile = (text: string): string =>
  `${text}. Nothing was kept; choose another file.`;
export const sChannels = (fileName: string, durationS: number, length: number): string =>
  `${fileName}: ${durationS} s, ${length} channels`;
export const seeItsTraces = 'See its traces';
export const keepingTheFile = 'Keeping the file …';
export const useAsTheReading = (purpose: string): string => `Use as the ${purpose} reading`;
export const noSteadyIdleOrHoldWithFilter =
  'No steady idle or hold with filter pressure found. Correct the columns above, or record a hold of at least 5 s.';
export const afterReading = 'After reading';
export const readingBetween = 'Reading between';
export const readLive = 'Read live';
export const whereTheReadingComesFrom = 'Where the reading comes from';
export const typedIn = 'Typed in';
export const fromARecordedLog = 'From a recorded log';
export const countsNowANewOneReplacesIt = (figures: string, part: string): string =>
  `Counts now: ${figures}${part}. A new one replaces it.`;
export const from = (fileName: string): string => ` · from “${fileName}”`;
export const byHand = ' · by hand';
export const tooShortToTell = 'too short to tell';
export const wetRising = 'wet, rising';
export const dryingFalling = 'drying, falling';
export const warmUp = 'Warm-up';
export const warmUpAfterTheClean = 'Warm-up after the clean';
export const atTheEndOfThisLog = 'At the end of this log:';
export const highestCleanEachAtItsOwnFlow = (peakRatio: string, part: string, nowRatio: string): string =>
  `Highest ${peakRatio} × clean, ${part} ${nowRatio} ×, each at its own flow.`;
export const now = 'now';
export const atTheEnd = 'at the end';
export const noFlowPressurePlotItNeedsSteady =
  'No flow–pressure plot: it needs steady windows with ΔP, and air mass or engine size.';
export const openingTheLogs = 'Opening the logs …';
export const recordedLogs = 'Recorded logs';
export const thisLogIsNotOpenHereAnd =
  'This log is not open here and not saved with the job. Choose its file again.';
export const chooseARecordedLogToSeeIts =
  'Choose a recorded log to see its channels, idles and holds, each sensor and the faults, within a second.';
export const nothingWasKeptChooseAnotherFileFile = (fileName: string, text: string): string =>
  `${fileName}: ${text}. Nothing was kept; choose another file.`;
export const reading = (fileName: string): string => `Reading “${fileName}” …`;
export const noColumnOfThisLogHoldsA = 'No column of this log holds a reading.';
export const flowAgainstPressure = 'Flow against pressure';
export const chooseRecordedLogs = 'Choose recorded logs';
export const orDropThemHereCsvOrText =
  'or drop them here: CSV or text in any layout and units, CAN frames, JSON, Parquet.';
export const recordedLogFiles = 'Recorded log files';
export const forInformation = 'for information';
export const noFaultFoundByTheTestsThis = 'No fault found by the tests this log allows.';
export const theWholeLog = 'the whole log';
export const kb = (ceil: number): string => `${ceil} KB`;
export const mb = (fixed: string): string => `${fixed} MB`;
export const logs = 'Logs';
export const keptWithTheJob = (sizeBytes: string): string => `${sizeBytes}, kept with the job`;
export const stopReading = 'Stop reading';
export const putAway = 'Put away';
export const couldNotBeRead = (why: string): string => `Could not be read. ${why}.`;
export const readAgain = (fileName: string): string => `Read ${fileName} again`;
export const readingTitle = 'Reading …';
export const readAgainTitle = 'Read again';
export const sChannelsWithDurationS = (durationS: number, length: number, part: string): string =>
  `${durationS} s, ${length} channels${part}`;
export const keptWithTheJobWithin = ', kept with the job';
export const readSoFar = 'Read so far';
export const readingWithSizeBytes = (sizeBytes: string, round: number, left: string): string =>
  `Reading ${sizeBytes}: ${round} %${left}`;
export const to = (low: string, high: string, unitLabel: string): string => `${low} to ${high} ${unitLabel}`;
export const noNumber = 'no number';
export const isThisOthersLookLikeItToo = (role: string, shows: string): string =>
  `is this ${role}? Others look like it, too. It shows ${shows}`;
export const leftOutByHand = 'left out by hand';
export const notRecognisedKeptAndCanBePlotted = 'not recognised; kept and can be plotted';
export const columnsRecognisedNot = (length: number, length2: number, part: string): string =>
  `Columns: ${length} recognised, ${length2} not${part}`;
export const toBeAnswered = (questions: number): string => `, ${questions} to be answered`;
export const whatYouSetHereAppliesToEvery = 'What you set here applies to every later log of the workshop;';
export const allCorrections = 'all corrections';
export const columns = 'Columns';
export const inIt = (unit: string): string => `in ${unit}`;
export const tracesOverTimeArrowKeysMovePlus =
  'Traces over time. Arrow keys move, plus and minus zoom, 0 shows the whole log.';
export const tracesOfWindowsFindingsMarked = (columns: string, what: string, length: number): string =>
  `Traces of ${columns}. Windows: ${what}. ${length} findings marked.`;
export const notedWhileReading = 'Noted while reading';
export const firstInLine = (row: number): string => ` First in line ${row}.`;
export const steadyWindows = (part: string): string => `Steady windows${part}`;
export const andSnapsBetweenThem = (snaps: number): string => `, and ${snaps} snaps between them`;
export const use = 'use';
export const window = 'window';
export const rpm = 'rpm';
export const spread = '± spread';
export const useWithName = (name: string): string => `Use ${name}`;
export const showAllWindows = (length: number): string => `Show all ${length} windows`;
export const theTracesAsATable = 'The traces as a table';
export const fromTo = (fromS: string, toS: string): string => `From ${fromS} to ${toS}`;
export const channel = 'channel';
export const lowest = 'lowest';
export const mean = 'mean';
export const highest = 'highest';
export const readings = 'readings';
export const valuesAt = (atS: string): string => `Values at ${atS}`;
export const channelsShownWithTheirMeans = 'Channels shown, with their means';
export const remove = ', remove';
export const earlier = 'Earlier';
export const later = 'Later';
export const zoomIn = 'Zoom in';
export const zoomOut = 'Zoom out';
export const wholeLog = 'Whole log';
export const addAChannel = 'Add a channel';
export const addAChannelTitle = 'Add a channel …';
export const useAsAReading = 'Use as a reading';
export const enteredAsTheReadingTheFileIs = (what: string): string =>
  `Entered as the ${what} reading; the file is kept with the job.`;
export const seeTheVerdict = 'See the verdict';
export const useTheseWindowsAsTheBeforeReading = 'Use these windows as the before reading';
export const useTheseWindowsAsTheAfterReading = 'Use these windows as the after reading';
export const parquet = 'Parquet';
export const saveAsOneTidyTable = 'Save as one tidy table:';
export const theFileCouldNotBeReadIt = (round: number): string =>
  `The file could not be read: it takes longer than ${round} s`;
export const theFileCouldNotBeReadItTitle = 'The file could not be read: it is damaged';
export const theFileCouldNotBeRead = (message: string): string => `The file could not be read: ${message}`;
export const theServerDidNotGiveTheLog = 'The server did not give the log';
export const deltapWithLabel = (label: string): string => `ΔP ${label}`;
export const asRead = 'as read';
export const isLargerThanTheMbThatThis = (name: string, round: number): string =>
  `“${name}” is larger than the ${round} MB that this installation takes`;
export const theLogIsNotReadYet = 'The log is not read yet';
export const theFileIsStillOpenHereTry = (title: string, what: string): string =>
  `${title}. ${what} The file is still open here: try again.`;
export const andThe = ' and the ';
