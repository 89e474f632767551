export {
  ROLES,
  demoSignInSchema,
  firstRunSchema,
  memberSchema,
  newMemberSchema,
  newPasswordSchema,
  roleSchema,
  sessionSchema,
  signInSchema,
  signOffBySchema,
  workshopSchema,
  workshopUpdateSchema,
  type Member,
  type Role,
  type Session,
  type Workshop,
  memberUpdateSchema,
  passwordChangeSchema,
  recoveryCodesSchema,
  secondFactorCodeSchema,
  secondFactorEndSchema,
  secondFactorOfferSchema,
  signedInSchema,
  type MemberUpdate,
  type PasswordChange,
  type RecoveryCodes,
  type SecondFactorOffer,
  type SignedIn,
} from './people.ts';
export {
  customerSchema,
  filterModelSchema,
  newCustomerSchema,
  newFilterModelSchema,
  newVehicleSchema,
  vehicleSchema,
  vehicleUpdateSchema,
  type Customer,
  type FilterModel,
  type NewVehicle,
  type Vehicle,
} from './vehicle.ts';
export {
  limitsProfileSchema,
  newLimitsProfileSchema,
  type LimitsProfile,
  type NewLimitsProfile,
} from './limitsProfile.ts';
export {
  JOB_FILTERS,
  jobListItemSchema,
  jobListQuerySchema,
  jobListSchema,
  runningClocksSchema,
  jobSchema,
  logSchema,
  newJobSchema,
  photoSchema,
  type Job,
  type JobListItem,
  type RunningClock,
  type RunningClocks,
  type Log,
  type Photo,
} from './job.ts';
export { jobSummarySchema, type JobSummary } from './jobSummary.ts';
export { sealSchema, type Seal } from './seal.ts';
export { familyBookSchema, type FamilyBook } from './family.ts';
export {
  channelCorrectionListSchema,
  channelCorrectionSchema,
  newChannelCorrectionSchema,
  type ChannelCorrection,
  type ChannelCorrectionList,
  type NewChannelCorrection,
} from './logs.ts';
export { problemSchema, type Problem } from './problem.ts';
export { fluidSchema, fluidUpdateSchema, newFluidSchema, type Fluid, type NewFluid } from './fluid.ts';
export {
  FLEET_ORDERS,
  fleetCausesSchema,
  fleetPageSchema,
  fleetQuerySchema,
  fleetVehicleSchema,
  type FleetCauses,
  type FleetPage,
  type FleetVehicle,
} from './fleet.ts';
export {
  followUpSchema,
  TASK_KINDS,
  taskListSchema,
  taskSchema,
  tasksQuerySchema,
  type FollowUp,
  type Task,
  type TaskList,
} from './tasks.ts';
export { vehicleHistorySchema, type VehicleHistory } from './vehicleHistory.ts';
export { takenInSchema, type TakenIn } from './archive.ts';
export { adviceSchema, familyFoundSchema, STEP_KINDS, type Advice, type FamilyFound } from './advice.ts';
