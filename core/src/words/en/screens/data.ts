export const thePageIsOutOfDate = 'The page is out of date';
export const theServerCannotBeReached = 'The server cannot be reached';
export const whatYouTypedIsKeptOnThis = 'What you typed is kept on this device.';
export const theServersAnswerWasNotUnderstood = 'The server’s answer was not understood';
export const signInFirst = 'Sign in first';
export const notEnteredAtAll = (why: string): string =>
  `Not entered. This browser cannot keep entries, and the server did not take it: ${why}`;
