export const distance = 'distance';
export const filter = 'filter';
export const foundLeft = 'found → left';
export const addAFilterSize = 'Add a filter size';
export const diameterOfTheBrick = 'Diameter of the brick';
export const lengthOfTheBrick = 'Length of the brick';
export const cellsPerSquareInch = 'Cells per square inch';
export const wall = 'Wall';
export const material = 'Material';
export const knownBy = 'Known by';
export const measuredOrReadOffTheCan = 'measured or read off the can';
export const assumedFromASimilarVehicle = 'assumed from a similar vehicle';
export const addTheFilterSize = 'Add the filter size';
export const coating = 'Coating';
export const decidesHowSootBurnsAndWhichFluid = 'Decides how soot burns and which fluid is allowed';
export const bareAdditiveInTheFuel = 'bare, additive in the fuel';
export const n1Vehicle = '1 vehicle';
export const vehicles = (count: number): string => `${count} vehicles`;
export const byTheEngineSize = 'By the engine size.';
export const fromProvedReadingsOfOfThisFamily = (count: string): string =>
  `From proved readings of ${count} of this family.`;
export const fromOfThisFamilyWhoseSizeWas = (count: string): string =>
  `From ${count} of this family whose size was measured.`;
export const filterSizeAssumed = (volume: string): string => `Filter size assumed: ${volume}`;
export const restrictionAndSootAreRoughUntilThe = (size: string): string =>
  `${size} Restriction and soot are rough until the size is entered. Before and after compare without it.`;
export const theSizeItHas = 'The size it has';
export const chooseASizeYouHave = 'choose a size you have';
export const enterANewSize = 'Enter a new size';
export const beyondTheForecast = 'beyond the forecast';
export const dueNowCleanDueAt = (value: string, limitRatio: string): string =>
  `Due now: ${value} × clean, due at ${limitRatio} ×`;
export const byItsTrendItWasDueAfter = 'By its trend it was due after about ';
export const inAbout = 'In about ';
export const around = (value: string): string => `, around ${value}`;
export const n80RangeToCountedFromJob = (low: string, high: string, part: string, number: number): string =>
  `80 % range: ${low} to ${high}${part}, counted from job ${number}.`;
export const and = (low: string, high: string): string => `, ${low} and ${high}`;
export const cleanThenDueAt = (value: string, limitRatio: string, part: string, part2: string): string =>
  `${value} × clean then, due at ${limitRatio} ×. ${part}${part2}.`;
export const byOfItsOwnRoad = (stretches: number, part: string): string =>
  `By ${stretches} ${part} of its own road`;
export const stretch = 'stretch';
export const stretches = 'stretches';
export const noDistanceBetweenTwoReadingsYetBy =
  'No distance between two readings yet: by vehicle type alone';
export const andOther = (vehicles: number, family: string): string => `, and ${vehicles} other ${family}`;
export const andWhatIsAssumedAsNoOther = (family: string): string =>
  `, and what is assumed, as no other ${family} was read twice`;
export const backWithinChance = (withinKm: string, round: number): string =>
  `Back within ${withinKm}, chance ${round} %`;
export const notRepairedYet = (say: string): string => `${say}: not repaired yet.`;
export const backWithin = (withinKm: string, part: string | number): string =>
  `Back within ${withinKm}: ${part} %.`;
export const under1 = 'under 1';
export const sootThatNoRegenerationTakesToBy = (
  value: string,
  low: string,
  high: string,
  stretches: number,
  part: string,
): string =>
  `Soot that no regeneration takes: ${value} (${low} to ${high}), by the pressures of ${stretches} ${part}.`;
export const regenerationsMoreFrequentEvery = (lastKm: string): string =>
  `Regenerations more frequent: every ${lastKm}`;
export const beforeSoWarningBelow = (earlierKm: string, percent: string, limitPercent: string): string =>
  `${earlierKm} before, so ${percent} %; warning below ${limitPercent} %.`;
export const regeneratesEveryBefore = (lastKm: string, earlierKm: string): string =>
  `Regenerates every ${lastKm}, ${earlierKm} before.`;
export const ashTheResidualAfterACleanRises = (
  value: string,
  distance: string,
  low: string,
  high: string,
  part: string,
): string => `Ash: the residual after a clean rises by ${value} × on ${distance} (${low} to ${high}).${part}`;
export const fromAboutACleanNoLongerBrings = (value: string, limitRatio: string, part: string): string =>
  ` From about ${value} a clean no longer brings it below ${limitRatio} ×${part}.`;
export const ifItRisesAtAll = ', if it rises at all';
export const ashLine = (why: string): string => `Ash line: ${why}`;
export const notes = 'Notes';
export const noneOnRecord = 'None on record.';
export const parts = 'Parts';
export const forNowOnly = '· for now only';
export const distanceWithUnit = (unit: string): string => `distance, ${unit}`;
export const restrictionClean = 'restriction, × clean';
export const restrictionOverDistanceAtVisitsThe = (length: number): string =>
  `Restriction over distance at ${length} visits; the table below holds the figures`;
export const foundLeftFromTheLastVisitMedian =
  '✕ found, ● left. From the last visit: median and 80 % range, to the limit.';
export const theChartAsATable = 'The chart as a table';
export const found = 'found';
export const left = 'left';
export const newHereSameAs = 'New here: same as';
export const sameAs = 'Same as';
export const engineFilterAndPartsAsOnThe =
  'Engine, filter and parts as on the last one of its kind; what differs is changed later.';
export const fillsEngineFilterAndPartsWhat = 'Fills engine, filter and parts. What differs is changed below.';
export const cpsiWall = (
  name: string,
  diameterMm: string,
  lengthMm: string,
  cpsi: number,
  wallMm: string,
  engineSize: string,
): string => `${name}: ${diameterMm} × ${lengthMm}, ${cpsi} cpsi, wall ${wallMm}, ${engineSize}`;
export const plate = 'Plate';
export const limitsAreKeptPerFamily = 'Limits are kept per family';
export const forTheFlowIfNoAirMass = 'For the flow if no air mass is read';
export const withoutItBeforeAndAfterAreCompared =
  'Without it, before and after are compared by fitted curves';
export const sizeNotKnown = 'size not known';
export const customer = 'Customer';
export const orANewCustomer = 'or a new customer';
export const partsOnThisVehiclesExhaustLine = 'Parts on this vehicle’s exhaust line';
export const save = 'Save';
export const addTheVehicle = 'Add the vehicle';
export const findByPlateOrVehicle = 'Find by plate or vehicle';
export const noVehicleByThatName = 'No vehicle by that name.';
export const noCustomer = 'no customer';
export const filterSizeNotKnown = 'filter size not known';
export const allJobsByDistance = 'All jobs by distance';
export const theFilterOverTime = 'The filter over time';
export const vehicleFilterAndLine = 'Vehicle, filter and line';
export const savedOpenJobsOfThisVehicleNow = 'Saved. Open jobs of this vehicle now use it.';
export const notWorkedOn = 'not worked on';
export const cleanedInPlace = 'cleaned in place';
export const cleanedOffTheVehicle = 'cleaned off the vehicle';
export const cleanedInPlaceOffTheVehicle = (part: string): string =>
  `○ cleaned in place, □ off the vehicle, ■ replaced, ▲ regenerated, | not worked on; restriction found → left, × clean.${part}`;
export const noDistanceAndOnlyInTheList = (without: number, part: string, part2: string): string =>
  ` ${without} ${part} no distance and ${part2} only in the list.`;
export const jobHas = 'job has';
export const jobsHave = 'jobs have';
export const stands = 'stands';
export const stand = 'stand';
export const filterJobAt = (what: string, distance: string): string => `, filter ${what}, job at ${distance}`;
