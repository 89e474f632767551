export const noOther = 'No other.';
export const next = '· next:';
export const ringOnThisDeviceToo = 'Ring on this device, too';
export const reasonForEndingEarly = 'Reason for ending early';
export const endItEarly = 'End it early';
export const endIt = 'End it';
export const theFilter = 'the filter';
export const startATimer = 'Start a timer';
export const whatFor = 'What for';
export const theFilterIfLeftEmpty = 'The filter, if left empty';
export const whatComesNext = 'What comes next';
export const startIt = 'Start it';
export const over = (first: string, plate: string): string => `${first} over: ${plate}`;
export const nextWithNext = (next: string): string => `next: ${next}`;
export const on = (name: string, plate: string, left: string, part: string): string =>
  `${name} on ${plate}: ${left}${part}`;
export const left = ' left';
export const onWithName = (name: string, plate: string, part: string, part2: string): string =>
  `${name} on ${plate}${part}${part2}`;
export const nextOfNext = (next: string): string => ` · next: ${next}`;
export const thisJob = 'this job';
export const overMin = (over: number): string => `over ${over} min`;
export const overH = (floor: number): string => `over ${floor} h`;
export const minLeft = (ceil: number): string => `${ceil} min left`;
export const is = (leftMs: string): string => `is ${leftMs}`;
