export const typeTheCodesOrTickThatThere = 'Type the codes, or tick that there are none';
export const scanned = 'Scanned';
export const asTheToolPrintsThemOrOne =
  'As the tool prints them, or one per line: any notation, status after, module name above';
export const notReadAsCodesKeptAsThey = (leftOver: string): string =>
  `Not read as codes, kept as they are: ${leftOver}.`;
export const saveTheCodes = 'Save the codes';
export const noCodesStored = 'No codes stored';
export const customerReportsNoLampNoMessage = 'Customer reports: no lamp, no message';
export const codes = 'Codes';
export const aCodeNamesACircuitOrA =
  'A code names a circuit or a mismatch, not a part. No code does not mean no fault.';
export const readThemFromTheVehicle = 'Read them from the vehicle';
export const scanOfEveryModuleBeforeAnythingIs = 'Scan of every module, before anything is cleared';
export const anotherScan = 'Another scan';
export const beforeTheWork = 'Before the work';
export const afterUnplugging = 'After unplugging';
export const afterClearing = 'After clearing';
export const afterTheDrive = 'After the drive';
export const reportedByTheCustomer = ', reported by the customer';
export const noLampNoMessage = 'no lamp, no message';
export const noCodes = 'no codes';
export const asBefore = 'As before';
export const mayBeTheCause = 'May be the cause';
export const inhibitRegeneration = 'Inhibit regeneration';
export const consequencesOfAnotherFault = 'Consequences of another fault';
export const unrelated = 'Unrelated';
export const notInTheTables = 'Not in the tables';
export const onlyItsRangeIsKnown = ', only its range is known';
export const theSameDigitsCouldBe = 'The same digits could be';
export const checksItCallsFor = (what: string): string => `Checks it calls for: ${what}.`;
export const gone = 'Gone';
export const stillThere = 'Still there';
export const newCodes = 'New';
