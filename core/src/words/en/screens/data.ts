export const thePageIsOutOfDate = 'The page is out of date';
export const theServerCannotBeReached = 'The server cannot be reached';
export const whatYouTypedIsKeptOnThis = 'What you typed is kept on this device.';
export const theServersAnswerWasNotUnderstood = 'The server’s answer was not understood';
