export const aRegenerationWasStartedAndHasNo = 'A regeneration was started and has no end yet.';
export const theLastRegenerationAfterMin = (name: string, minutes: string): string =>
  `The last regeneration ${name} after ${minutes} min.`;
export const preconditionsTemperaturesBed =
  'Preconditions, temperatures, bed estimate and stop rules, on a page of their own.';
export const goToTheRegeneration = 'Go to the regeneration';
export const prepareTheRegeneration = 'Prepare the regeneration';
export const noFluidOnTheShelf = 'No fluid on the shelf';
export const thePlanNeedsItsDataSheet = 'The plan needs its data sheet.';
export const addOne = 'Add one';
export const soakOrRinse = 'Soak or rinse';
export const soak = 'Soak';
export const rinse = 'Rinse';
export const soakingFluid = 'Soaking fluid';
export const rinsingFluid = 'Rinsing fluid';
export const noneOfThisKindOnTheShelf = 'None of this kind on the shelf';
export const left = (name: string, stockL: string): string => `${name}, ${stockL} left`;
export const filterNow = 'Filter now';
export const byTheAnswers = (answered: string): string => `${answered} by the answers`;
export const byItsEgtsOrAContactThermometer = 'By its EGTs or a contact thermometer';
export const line = 'Line';
export const whatTheCompressorsGaugeShows = 'What the compressor’s gauge shows';
export const noPlan = 'No plan';
export const fill = (what: number): string => `fill ${what}`;
export const chemicalClean = 'Chemical clean';
export const chemicalCleanLetItDwell = 'Chemical clean: let it dwell';
export const putMoreInAlready = (title: string): string => `Put more in already: ${title}`;
export const chemicalCleanWithTitle = (title: string): string => `Chemical clean, ${title}`;
export const cleanInPlace = 'Clean in place';
export const sendOutToBeCleaned = 'Send out to be cleaned';
export const newPart = 'New part';
export const inPerson = 'in person';
export const byPhone = 'by phone';
export const byMessage = 'by message';
export const bySignature = 'by signature';
export const choiceOfTheCustomer = 'Choice of the customer';
export const approvedBy = (part: string, by: string, what: string, deviceTime: string): string =>
  `${part}approved by ${by} ${what}, ${deviceTime}`;
export const waitsForTheCustomer = (question: string): string => `Waits for the customer: ${question}`;
export const approvedByTitle = 'Approved by';
export const how = 'How';
export const recordTheApproval = 'Record the approval';
export const offerAChoiceWithPrices = 'Offer a choice with prices';
export const whatIsToBeDecided = 'What is to be decided';
export const currency = 'Currency';
export const offerItTheJobWaits = 'Offer it: the job waits';
export const anotherOption = 'Another option';
export const option = (what: number): string => `Option ${what}`;
export const price = 'Price';
export const remark = 'Remark';
export const decide = 'Decide';
export const nothingCanBeDecidedWithoutAReading =
  'Nothing can be decided without a reading: not from a code, not from a lamp.';
export const takeTheBeforeReading = 'Take the before reading';
export const flow = 'flow';
export const deltapZeroRemoved = 'ΔP, zero removed';
export const sootLoadNoAsh = 'soot load, no ash';
export const idle = 'idle';
export const sootOver = (about: string, lowG: string): string => `${about}over ${lowG} *`;
export const aboveThatItMayBeAsh =
  '* No soot is read beyond this: above it, it may be ash, another restriction or the sensor.';
export const goodUpToCleanAtIdleAt = (
  restrictionGoodRatio: string,
  dpIdleGoodMbar: string,
  dp3000GoodMbar: string,
  dpIdleBlockedMbar: string,
  dp3000BlockedMbar: string,
  part: string,
): string =>
  `Good: up to ${restrictionGoodRatio} × clean, ${dpIdleGoodMbar} at idle, ${dp3000GoodMbar} at 3000 rpm. Blocked: over ${dpIdleBlockedMbar} at idle, over ${dp3000BlockedMbar} at 3000 rpm.${part}`;
export const theEcuCountsOfSoot = (sootCounterG: string): string =>
  ` The ECU counts ${sootCounterG} of soot.`;
export const assumedNotRead = 'Assumed, not read';
export const continueToTheWork = 'Continue to the work';
export const mayItBeDrivenUntilThen = 'May it be driven until then?';
export const until = (until: string): string => `until ${until}`;
export const itMayBe = 'It may be';
export const drivenLimited = 'driven, limited';
export const notDriven = 'not driven';
export const untilTitle = 'Until';
export const because = 'Because';
export const limitedTo = 'Limited to';
export const speedLoadDistance = 'Speed, load, distance';
export const enterIt = 'Enter it';
export const proposed = (words: string): string => `Proposed: ${words}`;
export const recordThis = 'Record this';
export const byBurstsOfS = (part: string, what: string, given: number, burstS: string): string =>
  `${part} by ${what}: ${given} bursts of ${burstS} s`;
export const rinsed = 'Rinsed';
export const fillWithFill = (fill: number): string => `Fill ${fill}`;
export const burstsOfSAt = (
  part: string,
  bursts: number,
  burstS: string,
  lineBar: string,
  part2: string,
): string => `${part}, ${bursts} bursts of ${burstS} s at ${lineBar}${part2}`;
export const andWater = (concentrateL: string, name: string, waterL: string): string =>
  `: ${concentrateL} ${name} and ${waterL} water`;
export const asItIs = (name: string): string => ` ${name} as it is`;
export const straightThroughNothingStays = ', straight through: nothing stays.';
export const thenMinOfDwellSuchALoad = (dwellMin: string, part: string): string =>
  `, then ${dwellMin} min of dwell. Such a load usually takes ${part}.`;
export const oneFill = 'one fill';
export const fills = (fills: number): string => `${fills} fills`;
export const eachBurstThatArrivesCoolsTheFilter = (dropPerBurstC: string): string =>
  `Each burst that arrives cools the filter by about ${dropPerBurstC}: watch it fall.`;
export const burstHoldIt = (what: number): string => `Burst ${what}: hold it …`;
export const burstOf = (what: number, bursts: number): string => `Burst ${what} of ${bursts}`;
export const ofIn = (bursts: number, bursts2: number): string => `${bursts} of ${bursts2} in`;
export const oneBurstLess = 'One burst less';
export const oneBurstMore = 'One burst more';
export const allBurstsInSaveTheRinse = (bursts: number): string => `All ${bursts} bursts in: save the rinse`;
export const doneSaveTheRinse = 'Done: save the rinse';
export const allBurstsInStartTheDwell = (bursts: number): string =>
  `All ${bursts} bursts in: start the dwell`;
export const fluidInStartTheDwell = 'Fluid in: start the dwell';
export const answerAndFixTheItemsAboveFirst = 'Answer and fix the items above first.';
export const thisBurstStillRuns = 'This burst still runs.';
export const readTheCautionFirst = 'Read the caution first.';
export const readAndSaveTheCountersSootDistance =
  'Read and save the counters: soot, distance since regeneration, oil.';
export const scanAgainAndSaveCodesSetBy = 'Scan again and save codes set by unplugging.';
export const cleanTheSensorsPortsAndHosesLook = 'Clean the sensor’s ports and hoses; look at the clips.';
export const collectTheRunOff = 'Collect the run-off.';
export const warmItUp = 'Warm it up';
export const readWhenThePressureIsSteady = 'read when the pressure is steady';
export const boilingOff = 'Boiling off';
export const checkWhetherItHasEnded = 'check whether it has ended';
export const afterTheClean = 'after the clean';
export const whileItDwells = 'While it dwells';
export const flushByFlush = 'Flush by flush';
export const atFlow = 'at flow';
export const fellBy = 'fell by';
export const fillWithWhat = (what: string | number): string => `fill ${what}`;
export const withinUncertainty = ', within uncertainty';
export const letItDwellThenRead = 'Let it dwell, then read. ';
export const anotherFill = 'Another fill. ';
export const noOtherFill = 'No other fill. ';
export const refitStartIdleThenWarmToAnd = (coolantWarmC: string): string =>
  `Refit, start, idle, then warm to ${coolantWarmC} and hold 2500–3000: pressure rises while wet, then falls. Read when steady. Steam and smoke for about ten minutes.`;
export const min = (label: string, what: number): string => `${label}: ${what} min`;
export const notNow = 'Not now';
export const readAfterFill = (fills: number): string => `Read after fill ${fills}`;
export const runOffCollected = 'Run-off collected';
export const whenTheTimerRingsAnswerAgain = (part: string, part2: string): string =>
  `${part}${part2}When the timer rings, answer again.`;
export const cooling = 'Cooling. ';
export const atAnotherSite = 'At another site. ';
export const fromToAParkedFilterTakesAbout = (fromC: string, upToC: string): string =>
  `From ${fromC} to ${upToC} a parked filter takes about`;
export const twoThirdsOfItsHeatAreGone = (filterCoolsMin: number): string =>
  `: two thirds of its heat are gone in ${filterCoolsMin} min.`;
export const letItCool = 'Let it cool';
export const anotherSite = 'Another site';
export const whereSmokeIsNoNuisance = 'Where smoke is no nuisance';
export const thereIn = 'There in';
export const changeTheSite = 'Change the site';
export const temporaryRepairsPartsOnOrder = 'Temporary repairs, parts on order';
export const noOtherIsOpen = 'No other is open.';
export const noneIsOpen = 'None is open.';
export const enterATemporaryRepair = 'Enter a temporary repair';
export const whatWasDoneForNow = 'What was done for now';
export const causeFixedForNow = 'Cause fixed for now';
export const liftsWhatThisCauseBlocked = 'Lifts what this cause blocked';
export const noKnownCause = 'no known cause';
export const partOfTheLine = 'Part of the line';
export const saveOpenUntilSettled = 'Save, open until settled';
export const onOrder = (name: string): string => `on order: ${name}`;
export const due = (due: string): string => `due ${due}`;
export const noPartOnOrderForIt = 'No part on order for it.';
export const settledBy = 'Settled by';
export const settled = 'Settled';
export const noBeforeReading = 'No before reading';
export const workDoneNowCannotBeProvedLater =
  'Work done now cannot be proved later. Take five minutes to read before any fluid.';
export const takeIt = 'Take it';
export const addOtherWork = 'Add other work';
export const whatIsDone = 'What is done';
export const doneSoFar = 'Done so far';
export const nothingYet = 'Nothing yet.';
export const dwellMin = (dwellMin: string): string => ` · dwell ${dwellMin} min`;
export const filterTreatment = 'Filter treatment';
export const chosenTheJobIsSignedOff = (name: string): string => `Chosen: ${name}. The job is signed off.`;
export const cannotBeDecidedYet = 'Cannot be decided yet';
export const seeTheNextStepAbove = (notJudged: string): string => `${notJudged}. See the next step above.`;
export const whatARegenerationOfThisFilterWould = 'What a regeneration of this filter would do';
export const chosen = ', chosen';
export const notNowWithin = ', not now';
export const costsNothing = 'costs nothing';
export const ofWorkAbout = (handsOnMin: string, part: string, money: string): string =>
  `${handsOnMin} of work${part}, about ${money}`;
export const andWaiting = (waitingMin: string): string => ` and ${waitingMin} waiting`;
export const canGoWrong = 'Can go wrong';
export const selectableOnceTheCalculationIsDone = 'Selectable once the calculation is done.';
export const reasonWithTheCauseStillOpen = 'Reason with the cause still open';
export const leaveItAlone = 'Leave it alone';
export const choose = (words: string): string => `Choose: ${words}`;
export const theHighPipeOfTheDeltapSensor = 'the high pipe of the ΔP sensor';
export const aSensorsPort = 'a sensor’s port';
export const thePipeBeforeTheTurbo = 'the pipe before the turbo';
export const notTried = 'not tried';
export const turnsFreely = 'turns freely';
export const wayIn = 'Way in';
export const theSensorBeforeTheFilter = 'The sensor before the filter';
export const theSensorBeforeTheFilterIs = 'The sensor before the filter is';
export const notOnThisLine = 'not on this line';
export const cheapest = 'cheapest; ';
export const readTheCautionAboveFirst = 'Read the caution above first';
export const notAdvised = 'Not advised';
export const saveItOnlyIfItWasDone =
  'Save it only if it was done anyway, with any tool: the advice is kept with it.';
export const whatExactly = 'What exactly';
export const fluid = 'Fluid';
export const quantity = 'Quantity';
export const startsNow = 'Starts now';
export const sootCountedBefore = 'Soot counted before';
export const sootCountedAfter = 'Soot counted after';
export const noneOfTheLine = 'none of the line';
export const saveTheWork = 'Save the work';
export const aSensorSnapped = 'A sensor snapped';
export const aThreadOrBossStripped = 'A thread or boss stripped';
export const aBoltOrNutSnapped = 'A bolt or nut snapped';
export const somethingElse = 'Something else';
export const somethingBroke = 'Something broke';
export const whatHappened = 'What happened';
export const which = 'Which';
export const thread = 'Thread';
export const pitchByTheGauge = 'Pitch, by the gauge';
export const whereTheBossIs = 'Where the boss is';
export const cableReaches = 'Cable reaches';
export const leftEmptyNothingIs = 'Left empty, nothing is';
export const saveOpenUntilSettledTitle = 'Save; open until settled';
export const filterTheClean = (when: string): string => `Filter ${when} the clean`;
export const mass = 'Mass';
export const notDry = 'not dry';
export const inletFace = 'Inlet face';
export const outletFace = 'Outlet face';
export const aNewOneWeighs = 'A new one weighs';
export const labelOrMakersData = 'Label or maker’s data';
export const offTheVehicle = 'Off the vehicle';
export const off = 'Off';
export const offSoFar = (length: number): string => `${length} off so far`;
export const offSoFarTitle = 'Off so far';
export const safetyCritical = ', safety-critical';
export const answerTheQuestionsAndReadThe =
  'Answer the questions and read the caution before removing anything.';
export const onTheScalesBefore = 'On the scales, before';
export const soakRinseDry = 'Soak, rinse, dry';
export const onTheScalesAfter = 'On the scales, after';
export const neededBeforeRefitting = 'Needed before refitting';
export const nothing = 'nothing';
export const onAgain = 'On again';
export const allOn = 'all on';
export const ofToGo = (length: number, length2: number): string => `${length} of ${length2} to go`;
export const everythingIsRefittedStartItCheck =
  'Everything is refitted. Start it, check for leaks, and read.';
export const partsToHave = 'Parts to have';
export const no = (number: string): string => `, no. ${number}`;
export const onOrderWithPart = (part: string): string => `, on order${part}`;
export const startTheSoak = 'Start the soak';
export const backFlushUntilClear = 'back-flush until clear';
export const startTheRinse = 'Start the rinse';
export const dryIt = 'dry it';
export const startTheDrying = 'Start the drying';
export const weighItDry = 'weigh it dry';
export const theFilterOffTheVehicle = 'the filter, off the vehicle';
export const soakedBackFlushedUntilClear = 'Soaked, back-flushed until clear';
export const flowAgainstTheWorkingDirectionInAt =
  'Flow against the working direction: in at the outlet face. No lance against the face.';
export const lowPressureFromADistanceUntilIt = 'Low pressure, from a distance; until it runs clear.';
export const allRunOffIsHazardousWasteCollect = 'All run-off is hazardous waste: collect it.';
export const itRuns = 'It runs';
export const waterOnly = 'water only';
export const runOff = 'Run-off';
export const cleanedOnceMore = 'Cleaned once more';
export const runsClearCleaned = 'Runs clear: cleaned';
export const anotherFilter = 'Another filter';
export const entered = 'entered';
export const whichOne = 'Which one';
export const numberNewOrReconditionedWhereFrom = 'Number, new or reconditioned, where from';
export const fitted = 'Fitted';
export const seal = 'Seal';
export const clamp = 'Clamp';
export const bolt = 'Bolt';
export const nut = 'Nut';
export const removeAPart = 'Remove a part';
export const partComesOff = (number: number): string => `Part ${number} comes off`;
export const usualParts = 'Usual parts';
export const fasteners = 'Fasteners';
export const size = 'Size';
export const vehicleData = 'Vehicle data';
export const plugsOnIt = 'Plugs on it';
export const withCommas = 'With commas';
export const notUsedAgain = 'Not used again';
export const howMany = 'How many';
export const itsNumber = 'Its number';
export const axleMountOrSteeringSafetyCritical = 'Axle, mount or steering: safety-critical';
export const takesTwoPeople = 'Takes two people';
export const supportTheEngineBeforeLoosening =
  'Support the engine before loosening. Sign off each fastener when refitting.';
export const removed = 'Removed';
export const photoKeptAnother = 'Photo kept; another';
export const photoOfIt = 'Photo of it';
export const refit = 'Refit';
export const isOn = (what: string, part: string): string => `${what} is on${part}`;
export const ofFastenersSignedOff = (size: number, size2: number): string =>
  `, ${size} of ${size2} fasteners signed off`;
export const whenItCameOff = (what: string): string => `${what} when it came off`;
export const cameOffAsNumber = (number: number): string => `came off as number ${number}`;
export const newIt = (count: number, what: string): string => `${count} × new ${what}`;
export const plugs = (connectors: string): string => `plugs: ${connectors}`;
export const twoPeople = 'two people';
export const safetyCriticalSignOffEachFastener = 'Safety-critical: sign off each fastener.';
export const newSingleUseParts = 'New single-use parts';
export const pluggedIn = (what: string): string => `Plugged in: ${what}`;
export const tightenedTo = 'Tightened to';
export const enterItAgain = 'Enter it again';
export const refitted = 'Refitted';
export const fastenersOf = (what: string): string => `Fasteners of ${what}`;
export const signFor = (number: number): string => `Sign for ${number}`;
export const heatShield = 'Heat shield';
export const deltapHoses = 'ΔP hoses';
export const egtBeforeTheFilter = 'EGT before the filter';
export const egtAfterTheFilter = 'EGT after the filter';
export const frontPipe = 'Front pipe';
export const rearPipe = 'Rear pipe';
export const bandClamp = 'Band clamp';
export const bracket = 'Bracket';
export const crossMember = 'Cross-member';
export const engineMount = 'Engine mount';
export const driveShaft = 'Drive shaft';
export const steeringColumnJoint = 'Steering column joint';
export const rinseWithin = 'rinse';
export const runOffCollectedForDisposal = 'Run-off collected for disposal';
export const checkTheSiteThenDose = 'check the site, then dose';
export const soakTime = 'Soak for';
export const rinseTime = 'Rinse for';
export const dryingTime = 'Dry for';
