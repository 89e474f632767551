export const access = 'Access';
export const tool = 'Tool';
export const whereThePipeRuns = 'Where the pipe runs';
export const goodReading = 'Good reading';
export const weakSpot = 'Weak spot';
export const notebook = (family: string): string => `Notebook: ${family}`;
export const confirmedInLast = (jobs: number, part: string): string => `: confirmed in ${jobs} ${part}, last`;
export const min = (minutes: number): string => ` (${minutes} min)`;
export const job = (plate: string, jobNumber: number): string => `· ${plate}, job ${jobNumber}`;
export const suggestedForThisVehicle = 'Suggested for this vehicle';
export const confirmedOnJobSameCustomerAnd = (plate: string, jobNumber: number, say: string): string =>
  `Confirmed on ${plate} (job ${jobNumber}), same customer and family: ${say}.`;
export const deltapWhenGood = (what: string): string => `ΔP when good: ${what}`;
export const about = 'About';
export const forTheNext = (family: string): string => `For the next ${family}`;
export const pipeRoutingToolGoodReadings = 'Pipe routing, tool, good readings';
export const saveForTheFamily = 'Save for the family';
