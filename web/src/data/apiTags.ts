export interface JobFile {
  readonly jobId: string;
  readonly id: string;
  readonly file: File;
}

export const TAGS = [
  'Session',
  'Jobs',
  'Clocks',
  'Job',
  'Vehicles',
  'Filters',
  'Fluids',
  'Customers',
  'Limits',
  'Members',
  'Corrections',
  'HandOver',
  'SignedIn',
] as const;
