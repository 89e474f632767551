export const waterPerPartOfConcentrate = 'Water per part of concentrate';
export const filterUpTo = 'Filter, up to';
export const burst = 'Burst';
export const lineUpTo = 'Line, up to';
export const concentrateInStock = 'Concentrate in stock';
export const theFluidPlanFollowsTheDataSheet =
  'The fluid plan follows the data sheet. Use on jobs is deducted from stock automatically.';
export const noFluidYetAddTheFirstOne = 'No fluid yet. Add the first one with its data sheet.';
export const anotherFluid = 'Another fluid';
export const ofCounted = (countedL: string, countedAt: string): string =>
  `of ${countedL} counted ${countedAt}`;
export const filterUpToDwellMinBurstsOf = (
  part: string,
  part2: string,
  filterUpToC: string,
  dwellMin: string,
  burstS: string,
  lineUpToBar: string,
  part3: string,
  part4: string,
): string =>
  `${part}, ${part2}, filter up to ${filterUpToC}, dwell ${dwellMin} min, bursts of ${burstS} s, line up to ${lineUpToBar}. Coated filters: ${part3}. Bricks after the filter: ${part4}.`;
export const soaks = 'Soaks';
export const rinses = 'Rinses';
export const usedAsItIs = 'used as it is';
export const n1WithWater = (waterParts: string): string => `1 : ${waterParts} with water`;
export const yes = 'yes';
export const changeOrCount = (name: string): string => `Change or count ${name}`;
export const allowsCoatedFilters = 'Allows coated filters';
export const allowsBricksAfterTheFilter = 'Allows bricks after the filter';
export const saveCountedNow = 'Save, counted now';
export const addToTheShelf = 'Add to the shelf';
