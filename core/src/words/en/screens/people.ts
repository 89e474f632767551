export const signsInAs = (name: string, role: string, signInName: string): string =>
  `${name}, ${role}, signs in as ${signInName}`;
export const password = 'Password';
export const sessions = 'Sessions';
export const whereYouAreSignedIn = 'Where you are signed in';
export const sinceLastUsed = (part: string, part2: string): string => `since ${part}, last used ${part2}`;
export const thisOne = 'this one';
export const anUnusedSessionEndsByItselfAfter = 'An unused session ends by itself after some days.';
export const yourPassword = 'Your password';
export const passwordChangedOtherDevicesAre = 'Password changed. Other devices are signed out.';
export const newPassword = 'New password';
export const atLeast10CharactersFourUnrelated =
  'At least 10 characters. Four unrelated words are easy to remember and hard to guess.';
export const changeThePassword = 'Change the password';
export const chooseYourOwnPassword = (name: string): string => `Choose your own password, ${name}`;
export const yourPresentOneWasSetByA = 'Your present one was set by a lead, who knows it.';
export const thePasswordThatYouWereGiven = 'The password that you were given';
export const addAPerson = 'Add a person';
export const signInName = 'Sign-in name';
export const firstPassword = 'First password';
export const atLeast10Characters = 'At least 10 characters';
export const role = 'Role';
export const aViewerReadsATechnicianWorksOn =
  'A viewer reads; a technician works on jobs; a lead also sets limits and people.';
export const addThePerson = 'Add the person';
export const cannotSignInYet = 'cannot sign in yet';
export const signsInAsWithSignInName = (signInName: string, part: string, part2: string): string =>
  `signs in as ${signInName}${part}${part2}`;
export const withACode = ', with a code';
export const passwordToBeChosen = ', password to be chosen';
export const you = (role: string): string => `${role}, you`;
export const roleOf = (name: string): string => `Role of ${name}`;
export const reinstate = 'Reinstate';
export const suspend = 'Suspend';
export const remove = 'Remove';
export const removeWithName = (name: string): string => `Remove ${name}`;
export const theyAreSignedOutAndCanNo =
  'They are signed out and can no longer sign in. Their entries stay under their name. To block them temporarily, suspend them.';
export const setAPassword = 'Set a password';
export const forIt = (name: string): string => `for ${name}`;
export const newPasswordFor = (name: string): string => `New password for ${name}`;
export const theyChooseTheirOwnWithItThey =
  'They choose their own with it. They are signed out everywhere; a second factor ends.';
export const setThePassword = 'Set the password';
export const secondFactor = 'Second factor';
export const aCodeFromAnAuthenticatorOnYour =
  'A code from an authenticator on your phone, beside the password. A guessed or seen password alone does not let anyone in.';
export const setItUp = 'Set it up';
export const code = 'Code';
export const theSixDigitsThatTheAuthenticator = 'The six digits that the authenticator shows now';
export const confirm = 'Confirm';
export const scanThisWithTheAuthenticatorOrType = 'Scan this with the authenticator, or type the key.';
export const theKeyAsAPictureForThe = 'The key as a picture for the camera';
export const writeTheseDownNowTheyAreNot = 'Write these down now: they are not shown again';
export const eachSignsYouInOnceIfThe = 'Each signs you in once if the phone is lost.';
export const iHaveWrittenThemDown = 'I have written them down';
export const aCodeIsRequiredAtSignIn = 'A code is required at sign-in. To end this, enter your password.';
export const endTheSecondFactor = 'End the second factor';
export const signInAgain = 'Sign in again';
export const yourSessionHasEndedWhatYouTyped =
  'Your session has ended. What you typed is still on this page; your entries wait on this device.';
export const passwordOf = (signInName: string): string => `Password of ${signInName}`;
export const sixDigitsOfYourAuthenticatorOrA = 'Six digits of your authenticator, or a recovery code';
export const signIn = 'Sign in';
export const signInAsAnotherPerson = 'Sign in as another person';
export const beforeCleanAfterProved = 'Before, clean, after, proved.';
export const judgesTheFiltersPressureAtItsFlow =
  'Judges the filter’s pressure at its flow, and shows whether the work worked.';
export const backToSignIn = 'Back to sign-in';
export const setUpYourOwnWorkshop = 'Set up your own workshop';
export const openTheDemoWorkshop = 'Open the demo workshop';
export const oneTapAllDataAreMadeUp = 'One tap. All data are made up.';
export const setUpYourWorkshop = 'Set up your workshop';
export const youBecomeItsLeadYouAddThe = 'You become its lead: you add the others and set the limits.';
export const workshop = 'Workshop';
export const yourName = 'Your name';
export const makeTheWorkshop = 'Make the workshop';
export const anyTechnician = 'Any technician';
export const aLeadOnly = 'A lead only';
export const signingOff = 'Signing off';
export const whoSignsJobsOff = 'Who signs jobs off';
export const ifALeadSignsOffNoLink = 'If a lead signs off, no link or mail goes out before that.';
export const money = 'Money';
export const currencyOfTheWorkshop = 'Currency of the workshop';
export const nothingIsConvertedCostsAndHourly =
  'Nothing is converted: costs and hourly rates in the limits keep their figures. Look at them when you change it.';
export const theWorkshopsData = 'The workshop’s data';
export const exportTheWholeWorkshop = 'Export the whole workshop';
export const readingsAsATable = 'Readings as a table';
export const theArchiveIsAZipOfPlain =
  'The archive is a zip of plain text and original files: vehicles, jobs with every entry, logs, photos, limits, fluids, people. No passwords. Import it here or on another installation; existing data stay.';
export const importAnArchive = 'Import an archive';
export const takingAllOrNothingWithManyJobs = (name: string): string =>
  `Taking ${name} : all or nothing. With many jobs this takes minutes; leave the page open …`;
export const allOfWasHereAlready = (name: string): string => `All of ${name} was here already`;
export const imported = (name: string): string => `${name} imported`;
export const newVehiclesJobsFilesPeopleWereHere = (
  added: string,
  vehicles: number,
  jobs: number,
  files: number,
  people: number,
  known: string,
  part: string,
): string =>
  `${added} new: ${vehicles} vehicles, ${jobs} jobs, ${files} files, ${people} people; ${known} were here already.${part}`;
export const setAPasswordForEachPersonBefore = ' Set a password for each person before they sign in.';
export const signsInAsAsTheNameWas = (who: string, signInName: string): string =>
  `${who} signs in as ${signInName}, as the name was taken.`;
