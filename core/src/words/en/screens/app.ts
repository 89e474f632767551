export const menuOf = (name: string): string => `Menu of ${name}`;
export const daylightColours = 'Daylight colours';
export const bayColoursDark = 'Bay colours (dark)';
export const units = (pressure: string, temperature: string): string =>
  `Units: ${pressure}, ${temperature} …`;
export const fleetWhoIsDueNext = 'Fleet: who is due next';
export const signOutWithUnsentEntries = 'Sign out with unsent entries?';
export const notWithTheServerYetTheyStay = (part: string): string =>
  `${part} not with the server yet. They stay on this device and are sent when you sign in here again.`;
export const oneEntryIs = 'One entry is';
export const entriesAre = (length: number): string => `${length} entries are`;
export const views = 'Views';
export const findCtrlK = 'Find (Ctrl K)';
export const thisPageStoppedWorking = 'This page stopped working';
export const thereIsNoSuchPage = 'There is no such page';
export const nothingYouEnteredIsLostItIs =
  'Nothing you entered is lost: it is kept on this device. Reload the page to continue.';
export const theAddressMayBeOldOrMistyped = 'The address may be old, or mistyped.';
export const entriesOnThisDeviceAreKeptAnd =
  'Entries on this device are kept and sent when the server is back.';
export const skipToContent = 'Skip to content';
export const recording = (seconds: string): string => `Recording, ${seconds}`;
export const recordingWithin = 'recording';
export const failed = (failed: number): string => `${failed} failed`;
export const nothingIsKeptHere = 'nothing is kept here';
export const waitingToBeSent = (length: string): string => `${length} waiting to be sent`;
export const refusedWithRefused = (refused: number): string => `${refused} refused`;
