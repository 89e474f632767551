export const baselineComplete = 'Baseline complete';
export const baselineCompleteNext = (next: string): string => `Baseline complete. Next: ${next}`;
export const revs = (what: number, what2: string, part: string): string => `${what} revs, ${what2} ${part}`;
export const millibar = 'millibar';
export const armsLengthView = 'Arm’s-length view';
export const lastSteadyReading = 'last steady reading';
export const atRpm = (what: number): string => `at ${what} rpm`;
export const on = (clock: string, plate: string, leftMs: string): string => `${clock} on ${plate}: ${leftMs}`;
export const onWithWhat = (what: string, plate: string): string => `${what} on ${plate}`;
export const takenAtRpm = (deltaPMbar: string, rpm: number): string => `Taken: ${deltaPMbar} at ${rpm} rpm`;
export const noReadingsYet = 'No readings yet';
export const toneAndSpeech = 'Tone and speech';
export const leaveTheArmsLengthViewF = 'Leave the arm’s-length view (F)';
export const markSpace = (part: string): string => `Mark${part} · space`;
export const deltapAcrossTheFilter = 'ΔP across the filter';
export const tooHighOrImplausible = 'too high or implausible: ';
export const noLimitAtThisSpeed = 'no limit at this speed';
export const cleanWouldReadAtThisFlow = (clean: string): string =>
  ` · clean would read ${clean} at this flow`;
export const inTheBand = 'in the band';
export const more = 'more';
export const less = 'less';
export const steady = 'steady';
export const every10S = (part: string, withUnit: string): string => `${part} ${withUnit} every 10 s`;
export const falling = 'falling';
export const rising = 'rising';
export const last2Minutes = 'last 2 minutes';
export const keyOn = 'Key on';
export const coldIdle = 'Cold idle';
export const warmIdle = 'Warm idle';
export const firstHold = 'First hold';
export const secondHold = 'Second hold';
export const snaps = 'Snaps';
export const keyOff = 'Key off';
export const toDo = 'to do';
export const notNeeded = 'not needed';
export const baseline = 'Baseline';
export const sound60ValuesASecond = 'Sound, 60 values a second';
export const fast280ValuesASecond = 'Fast, 280 values a second';
export const genericSpeaksObdOnly = 'Generic, speaks OBD only';
export const slow8ValuesASecond = 'Slow, 8 values a second';
export const dropsOutAfterAMinute = 'Drops out after a minute';
export const takesItForAnotherVehicle = 'Takes it for another vehicle';
export const larch89 = 'Larch 8.9';
export const deltapInVoltsOnly = 'ΔP in volts only';
export const aSimulatedVehicleOnTheSameLink =
  'A simulated vehicle on the same link as a real one: same physics, known faults. For trying out, demonstrating and practising.';
export const whatIsWrongWithIt = 'What is wrong with it';
export const nothing = 'Nothing';
export const hiddenFault = 'Hidden fault';
export const hiddenFaults = { 2: 'Two hidden faults', 3: 'Three hidden faults' } as const;
export const andAlso = (number: number): string => `Fault ${number}`;
export const addAFault = 'Add a fault';
export const removeFault = (number: number): string => `Remove fault ${number}`;
export const formSeverityTime = 'Form, severity, time';
export const inWhichForm = 'Form';
export const anyForm = 'Any';
export const howBad = 'Severity';
export const comesOn = 'Comes on';
export const comesOnWhen = {
  'from-the-beginning': 'There from the beginning',
  'after-a-while': 'After five minutes of running',
  slowly: 'Slowly, over half an hour of running',
} as const;
export const ecu = 'ECU';
export const ecuTempers = {
  strict: 'Sets every code at once',
  usual: 'Misses or delays some codes',
  lenient: 'Tolerates much, sets few codes',
} as const;
export const warmFromDriving = 'Warm from driving';
export const coldStoodOvernightAt = (temperature: string): string =>
  `Cold, stood overnight at ${temperature}`;
export const scanTool = 'Scan tool';
export const setUpTheSimulatedVehicle = 'Set up the simulated vehicle';
export const channelsFor = 'Channels for';
export const custom = 'Custom';
export const channelsOneByOne = 'Channels one by one';
export const notFitted = ', not fitted';
export const voltsOnly = ', volts only';
export const atTheVehicleByHand = 'At the vehicle, by hand';
export const pressureOfThePump = (unit: string): string => `Pressure of the pump, ${unit}`;
export const doIt = 'Do it';
export const notDone = 'Not done: ';
export const whatToDo = 'What to do';
export const liveValues = 'Live values';
export const recordingsOnThisDevice = 'Recordings on this device';
export const areHere = (part: string, toLocaleString: string, seconds: string): string =>
  `${part}: ${toLocaleString}, ${seconds} are here.`;
export const recorded = 'Recorded';
export const aRecordingWasCutOff = 'A recording was cut off';
export const deleteIt = 'Delete it';
export const removeTheSimulatedVehicle = 'Remove the simulated vehicle';
export const theRecordingSoFarIsKeptAnd =
  ' The recording so far is kept and continues when the link is back.';
export const theDeviceSleptForNoValuesIn = (sleptS: string, part: string): string =>
  `The device slept for ${sleptS}: no values in that time.${part}`;
export const theRecordingContinuesWithAGap = ' The recording continues with a gap.';
export const ok = 'OK';
export const connected = 'Connected';
export const connectC = 'Connect (C)';
export const armsLengthF = 'Arm’s length (F)';
export const theToolTakesItForChannelsEach = (
  vehicle: string,
  length: number,
  hz: string,
  part: string,
): string => `The tool takes it for ${vehicle}; ${length} channels, each ${hz} times a second.${part}`;
export const thisJobsVehicleIsAMindA = (family: string): string =>
  ` This job’s vehicle is a ${family}: mind a mismatch.`;
export const switchTheIgnitionOnThenConnect = 'Switch the ignition on, then connect.';
export const guidedBaseline = 'Guided baseline';
export const endTheRecordingR = 'End the recording (R)';
export const recordR = 'Record (R)';
export const taken = 'Taken';
export const rpm = (what: number): string => ` ${what} rpm`;
export const markRpm = (what: number, round: number): string => `mark ${what}, ${round} rpm`;
export const n1Min = '1 min';
export const n5Min = '5 min';
export const n30Min = '30 min';
export const shownSpan = 'Shown span';
export const tracesOfTheValuesStandAboveAs = (what: string): string =>
  `Traces of ${what}; the values stand above as figures.`;
export const nothingYet = 'nothing yet';
export const afterTheCleanStartIdleWarmTo = (coolantWarmC: string): string =>
  `After the clean: start, idle, warm to ${coolantWarmC}, then hold 2500–3000. Progress is shown here.`;
export const notPresent = 'not present';
export const noCodesStored = 'No codes stored.';
export const codesOfTheModule = 'Codes of the module';
export const keptWithTheJob = 'Kept with the job.';
export const keepThisListWithTheJob = 'Keep this list with the job';
export const notPresentNow = ', not present now';
export const freezeFrame = (km: string): string => `Freeze frame, ${km}`;
export const scanLink = (label: string, text: string): string => `Scan link, ${label}: ${text}`;
export const askItTo = 'Ask it to';
export const oilLifeBefore = 'Oil life before';
export const stopIt = 'Stop it';
export const getItReady = (label: string): string => `${label}: get it ready`;
export const chooseTheSootCounterAmongThe =
  'Choose the soot counter among the channels first: what stands there is kept.';
export const chooseTheAshCounterAmongThe =
  'Choose the ash counter among the channels first: what stands there is kept.';
export const chooseDeltapAmongTheChannelsFirst =
  'Choose ΔP among the channels first: what it shows at rest is kept.';
export const enterTheOilLifeThatStandsThere =
  'Enter the oil life that stands there now: it is gone afterwards.';
export const readTheCodesFirstTheListIs = 'Read the codes first: the list is gone afterwards.';
export const values = 'Values';
export const look = 'look: ';
export const cleanAtThisFlow = (clean: string): string => `; clean ${clean} at this flow`;
export const atTheVehicle = 'At the vehicle';
export const ignitionOff = 'Ignition off';
export const ignitionOnEngineOff = 'Ignition on, engine off';
export const engineAtRpm = (what: number, part: string): string => `Engine at ${what} rpm${part}`;
export const pedal = (pedal: number): string => `Pedal, ${pedal} %`;
export const load = (part: string): string => `Load: ${part}`;
export const levelRoad = 'level road';
export const uphill = (round: number): string => `${round} % uphill`;
export const start = 'Start';
export const snap = 'Snap';
export const drive = (speed: string): string => `Drive, ${speed}`;
export const fullLoad = 'Full load';
export const unplugThe = (name: string): string => `Unplug the ${name}`;
export const plugTheIn = (name: string): string => `Plug the ${name} in`;
export const putAKnownGoodIn = (name: string): string => `Put a known-good ${name} in`;
export const pumpIntoThe = (name: string): string => `Pump into the ${name}`;
export const soakTheWithCleaner = (name: string): string => `Soak the ${name} with cleaner`;
export const workACableThroughThe = (name: string): string => `Work a cable through the ${name}`;
export const blowTheOut = (name: string): string => `Blow the ${name} out`;
export const replaceThe = (name: string): string => `Replace the ${name}`;
export const pumpOnThe = (name: string): string => `Pump on the ${name}`;
export const takeThePumpOffThe = (name: string): string => `Take the pump off the ${name}`;
export const deltapSensor = 'ΔP sensor';
export const highPort = 'high port';
export const lowPort = 'low port';
export const fitItsHosesCorrectly = 'Fit its hoses correctly';
export const pipes = 'Pipes';
export const highPipe = 'high pipe';
export const lowPipe = 'low pipe';
export const backPressureSensor = 'Back-pressure sensor';
export const backPressureSensorWithin = 'back-pressure sensor';
export const itsPort = 'its port';
export const itsPipe = 'its pipe';
export const mafSensor = 'MAF sensor';
export const manifoldPressureSensor = 'manifold pressure sensor';
export const tapeTheIntakeDuct = 'Tape the intake duct';
export const makeTheChargePipeTight = 'Make the charge pipe tight';
export const egtSensors = 'EGT sensors';
export const egt = (number: number): string => `EGT ${number}`;
export const exhaustLineAndFilter = 'Exhaust line and filter';
export const openTheLineBeforeTheCatalyst = 'Open the line before the catalyst';
export const openTheLineBeforeTheFilter = 'Open the line before the filter';
export const openTheLineAfterTheFilter = 'Open the line after the filter';
export const closeTheLine = 'Close the line';
export const injectADoseOfFluidThroughThe = 'Inject a dose of fluid through the high pipe';
export const injectADoseOfFluidThroughA = 'Inject a dose of fluid through a sensor port';
export const takeTheFilterOffAndWeighIt = 'Take the filter off and weigh it';
export const backFlushIt = 'Back-flush it';
export const dryItAndWeighIt = 'Dry it and weigh it';
export const refitIt = 'Refit it';
export const fitAReplacementFilter = 'Fit a replacement filter';
export const service = 'Service';
export const changeTheOil = 'Change the oil';
export const changeTheGlowPlugsAndTheirRelay = 'Change the glow plugs and their relay';
export const fillTheTank = 'Fill the tank';
export const leaveItParkedForAnHour = 'Leave it parked for an hour';
export const engineOff0 = (limit: string): string => `engine off: 0 ± ${limit}`;
export const below0WithTheEngineRunningHoses = 'below 0 with the engine running: hoses, pipes or sensor';
export const atIdleGoodTo = (limit: string): string => `at idle good to ${limit}`;
export const atRpmGoodTo = (at: number, limit: string): string => `at ${at} rpm good to ${limit}`;
export const engineOff = (barometer: string, percent: string): string =>
  `engine off: ${barometer} ± ${percent} %`;
export const toBySpeedDensity = (withUnit: string, withUnit2: string): string =>
  `${withUnit} to ${withUnit2} by speed–density`;
export const aCircuitNoTemperatureBeyondTo = (low: string, high: string): string =>
  `a circuit, no temperature: beyond ${low} to ${high}`;
export const notWarmYetFrom = (warm: string): string => `not warm yet: from ${warm}`;
export const warmFrom = (warm: string): string => `warm from ${warm}`;
export const highAbove = (limit: string): string => `high above ${limit}`;
export const endTheRecordingFirstACheckStops =
  'End the recording first: a check stops and starts the engine.';
export const thisDeviceCouldNotStoreThe = (message: string): string =>
  `This device could not store the recording: ${message}`;
