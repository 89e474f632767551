/** Places on the proof stage that a step leads to, by their ids. */
export const DRIVE_PLACE = 'the-drive';
export const CODES_PLACE = 'codes-after-the-drive';
export const RESETS_PLACE = 'the-resets';
