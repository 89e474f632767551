export const fromTheFile = (fileName: string): string => `From the file “${fileName}”.`;
export const downloadTheOriginalFile = 'Download the original file';
export const enteredBy = 'Entered by';
export const deviceClock = 'Device clock';
export const serverClock = 'Server clock';
export const placeInTheLedger = 'Place in the ledger';
export const correctThisEntry = 'Correct this entry';
export const wrongGiveTheReasonItStaysIn =
  'Wrong? Give the reason; it stays in the history but no longer counts';
export const withdrawThisEntry = 'Withdraw this entry';
export const photo = 'Photo';
export const holdRpm = (rpm: number): string => `hold, ${rpm} rpm`;
export const readByEye = 'read by eye';
export const readings = (pressureFigure: string, count: number): string =>
  `± ${pressureFigure}, ${count} readings`;
export const entriesOfThisJob = 'Entries of this job';
export const nothingEnteredYet = 'Nothing entered yet.';
export const fromAnArchive = ', from an archive';
export const noteForTheRecord = 'Note for the record';
export const addNote = 'Add note';
export const theServerCouldNotProcessIt = 'The server could not process it';
export const refused = 'Refused';
export const whatIsInIt = 'What is in it';
export const itIsRetriedAutomaticallyTheOthers = 'It is retried automatically; the others continue. ';
export const toCorrectItEnterItAnewAnd = 'To correct it, enter it anew and discard this one.';
export const tryAgainNow = 'Try again now';
export const discardThisEntry = 'Discard this entry';
export const onThisDeviceNotSentYet = 'On this device, not sent yet';
export const thisBrowserCannotStoreEntries = 'This browser cannot store entries';
export const eachIsSentToTheServerAt = (storeFault: string): string =>
  `Each is sent to the server at once and cannot be saved while it is unreachable. A private window or a full disk may be the reason. The browser says: ${storeFault}`;
export const theServerCannotBeReachedItIs =
  'The server cannot be reached. It is tried again every few seconds.';
export const ofAnotherPersonAreWaitingHereThey = (others: string): string =>
  `${others} of another person are waiting here. They are sent when that person signs in on this device.`;
