export const followUps = 'Follow-ups';
export const noneSuggested = 'None suggested.';
export const toBeDone = 'To be done';
export const by = 'By';
export const orAt = 'Or at';
export const setTheFollowUp = 'Set the follow-up';
export const doneBy = (by: string, part: string): string => `Done by ${by}${part}`;
export const done = (what: string): string => `Done: ${what}`;
export const doneTitle = 'Done';
export const calendarFile = 'Calendar file';
export const toDo = 'To do';
export const partsOnOrderRechecksOilAndFollow = (part: string): string =>
  `${part} Parts on order, rechecks, oil and follow-ups appear here.`;
export const nothingIsOpen = 'Nothing is open.';
export const nothingDueWithinDays = (withinDays: number): string => `Nothing due within ${withinDays} days.`;
export const theFirstOfAllAreInThe = (length: number, total: number): string =>
  `The first ${length} of ${total}; all are in the calendar file.`;
export const late = 'Late: ';
export const noDay = 'no day';
export const doneWithPlate = (plate: string, what: string): string => `Done: ${plate}, ${what}`;
export const about = 'about ';
