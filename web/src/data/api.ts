import { createApi } from '@reduxjs/toolkit/query/react';
import type { Language } from '@white-ember/core/words';
import type {
  ChannelCorrection,
  ChannelCorrectionList,
  Customer,
  FamilyBook,
  FilterModel,
  FleetCauses,
  FleetPage,
  Fluid,
  Job,
  JobListItem,
  LimitsProfile,
  Log,
  Member,
  MemberUpdate,
  NewChannelCorrection,
  NewFluid,
  NewLimitsProfile,
  NewVehicle,
  PasswordChange,
  Photo,
  RecoveryCodes,
  Role,
  RunningClocks,
  SecondFactorOffer,
  Session,
  SignedIn,
  TakenIn,
  TaskList,
  Vehicle,
  VehicleHistory,
  Workshop,
} from '@white-ember/core/contract';
import type { Entry, NewEntry } from '@white-ember/core/ledger';
import type { HandOver, Mail, NewMail, NewShare, Share, SharedReport } from '@white-ember/core/report';
import type { VehicleOutlook } from '@white-ember/core/outlook';
import { baseQuery, fileQuery } from './baseQuery.ts';
import { sessionEnded } from './sessionEnd.ts';
import { TAGS, type JobFile } from './apiTags.ts';

/** Who is at work on this page, until they sign out. */
let atWork: Member | undefined;

export { problemOf } from './baseQuery.ts';

export interface JobList {
  readonly jobs: readonly JobListItem[];
  readonly next?: string;
}

export const api = createApi({
  reducerPath: 'api',
  baseQuery,
  tagTypes: TAGS,
  refetchOnReconnect: true,
  endpoints: (build) => ({
    session: build.query<Session, void>({
      queryFn: async (_args, queryApi) => {
        const result = await baseQuery('/session', queryApi, {});
        if (result.error) return { error: result.error };
        const session = result.data as Session;
        if (session.member) atWork = session.member;
        else if (atWork) {
          // Ended under somebody’s hands: their page stays as it is, and they sign in again in place.
          queryApi.dispatch(sessionEnded());
          return { data: { ...session, member: atWork } };
        }
        return { data: session };
      },
      providesTags: ['Session'],
    }),
    signIn: build.mutation<Session, { signInName: string; password: string; code?: string | undefined }>({
      query: (body) => ({ url: '/session', method: 'POST', body }),
      invalidatesTags: ['Session'],
    }),
    demoSignIn: build.mutation<Session, { signInName: string }>({
      query: (body) => ({ url: '/session/demo', method: 'POST', body }),
      invalidatesTags: ['Session'],
    }),
    signOut: build.mutation<void, void>({
      query: () => ({ url: '/session', method: 'DELETE' }),
      onQueryStarted: async (_args, { queryFulfilled }) => {
        await queryFulfilled.then(
          () => (atWork = undefined),
          () => undefined,
        );
      },
    }),
    firstRun: build.mutation<
      Session,
      {
        workshopId: string;
        memberId: string;
        workshopName: string;
        name: string;
        signInName: string;
        password: string;
      }
    >({ query: (body) => ({ url: '/first-run', method: 'POST', body }), invalidatesTags: ['Session'] }),
    members: build.query<Member[], void>({ query: () => '/members', providesTags: ['Members'] }),
    addMember: build.mutation<
      Member,
      { id: string; name: string; signInName: string; password: string; role: Role }
    >({
      query: (body) => ({ url: '/members', method: 'POST', body }),
      invalidatesTags: ['Members'],
    }),
    jobs: build.query<JobList, { show: string; find?: string; vehicleId?: string; limit?: number }>({
      query: (params) => ({ url: '/jobs', params }),
      providesTags: ['Jobs'],
    }),
    jobPages: build.infiniteQuery<JobList, { show: string; find?: string }, string | undefined>({
      infiniteQueryOptions: { initialPageParam: undefined, getNextPageParam: (page) => page.next },
      query: ({ queryArg, pageParam }) => ({
        url: '/jobs',
        params: { ...queryArg, ...(pageParam === undefined ? {} : { before: pageParam }) },
      }),
      providesTags: ['Jobs'],
    }),
    clocks: build.query<RunningClocks, void>({ query: () => '/clocks', providesTags: ['Clocks'] }),
    job: build.query<Job, string>({
      query: (id) => `/jobs/${id}`,
      providesTags: (_result, _error, id) => [{ type: 'Job', id }],
    }),
    openJob: build.mutation<Job, { id: string; vehicleId: string; openedAt: string }>({
      query: (body) => ({ url: '/jobs', method: 'POST', body }),
      invalidatesTags: ['Jobs'],
    }),
    appendEntry: build.mutation<Entry, { jobId: string; entry: NewEntry }>({
      query: ({ jobId, entry }) => ({ url: `/jobs/${jobId}/entries`, method: 'POST', body: entry }),
      invalidatesTags: ['Jobs', 'Clocks', 'Fluids'],
    }),
    uploadLog: build.mutation<Log, JobFile>({
      queryFn: fileQuery<JobFile, Log>(({ jobId, id }) => ({ url: `/jobs/${jobId}/logs`, fields: { id } })),
      invalidatesTags: (_result, _error, { jobId }) => [{ type: 'Job', id: jobId }],
    }),
    readLogAgain: build.mutation<void, { logId: string; jobId: string }>({
      query: ({ logId }) => ({ url: `/logs/${logId}/read-again`, method: 'POST', body: {} }),
      // Also where it failed again: why may be another reason.
      invalidatesTags: (_result, _error, { jobId }) => [{ type: 'Job', id: jobId }],
    }),
    uploadPhoto: build.mutation<Photo, JobFile>({
      queryFn: fileQuery<JobFile, Photo>(({ jobId, id }) => ({
        url: `/jobs/${jobId}/photos`,
        fields: { id },
      })),
    }),
    setWorkshop: build.mutation<Workshop, Partial<Pick<Workshop, 'signOffBy' | 'currency'>>>({
      query: (body) => ({ url: '/workshop', method: 'PUT', body }),
      invalidatesTags: ['Session', 'HandOver'],
    }),
    handOver: build.query<HandOver, string>({
      query: (jobId) => `/jobs/${jobId}/hand-over`,
      providesTags: ['HandOver', 'Jobs'],
    }),
    makeShare: build.mutation<Share, NewShare & { jobId: string }>({
      query: ({ jobId, ...body }) => ({ url: `/jobs/${jobId}/shares`, method: 'POST', body }),
      invalidatesTags: ['HandOver'],
    }),
    revokeShare: build.mutation<Share, string>({
      query: (id) => ({ url: `/shares/${id}`, method: 'DELETE' }),
      invalidatesTags: ['HandOver'],
    }),
    sendMail: build.mutation<Mail, NewMail & { jobId: string }>({
      query: ({ jobId, ...body }) => ({ url: `/jobs/${jobId}/mails`, method: 'POST', body }),
      invalidatesTags: ['HandOver'],
    }),
    sharedReport: build.query<SharedReport, { token: string; language: Language | undefined }>({
      query: ({ token, language }) => ({
        url: `/shared/${encodeURIComponent(token)}`,
        params: { language },
      }),
    }),
    vehicleOutlook: build.query<VehicleOutlook, string>({
      query: (vehicleId) => `/vehicles/${vehicleId}/outlook`,
      providesTags: ['Jobs', 'Vehicles', 'Limits'],
    }),
    takeArchiveIn: build.mutation<TakenIn, { file: File }>({
      queryFn: fileQuery<{ file: File }, TakenIn>(() => ({ url: '/workshop/archive', fields: {} })),
      invalidatesTags: TAGS,
    }),
    changeMember: build.mutation<Member, { id: string } & MemberUpdate>({
      query: ({ id, ...body }) => ({ url: `/members/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Members'],
    }),
    removeMember: build.mutation<void, string>({
      query: (id) => ({ url: `/members/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Members'],
    }),
    changePassword: build.mutation<Member, PasswordChange>({
      query: (body) => ({ url: '/account/password', method: 'PUT', body }),
      invalidatesTags: ['Session', 'SignedIn'],
    }),
    signedIn: build.query<SignedIn[], void>({ query: () => '/account/sessions', providesTags: ['SignedIn'] }),
    revokeSession: build.mutation<void, string>({
      query: (id) => ({ url: `/account/sessions/${id}`, method: 'DELETE' }),
      invalidatesTags: ['SignedIn'],
    }),
    offerSecondFactor: build.mutation<SecondFactorOffer, void>({
      query: () => ({ url: '/account/second-factor', method: 'POST', body: {} }),
    }),
    confirmSecondFactor: build.mutation<RecoveryCodes, { code: string }>({
      query: (body) => ({ url: '/account/second-factor', method: 'PUT', body }),
      invalidatesTags: ['Session'],
    }),
    endSecondFactor: build.mutation<Member, { current: string }>({
      query: (body) => ({ url: '/account/second-factor/end', method: 'POST', body }),
      invalidatesTags: ['Session'],
    }),
    setPassword: build.mutation<Member, { id: string; password: string }>({
      query: ({ id, password }) => ({ url: `/members/${id}/password`, method: 'PUT', body: { password } }),
      invalidatesTags: ['Members'],
    }),
    fleet: build.query<FleetPage, { order: string; family?: string; offset?: number; limit?: number }>({
      query: (params) => ({ url: '/fleet', params }),
      providesTags: ['Jobs', 'Vehicles', 'Limits'],
    }),
    fleetCauses: build.query<FleetCauses, void>({
      query: () => '/fleet/causes',
      providesTags: ['Jobs', 'Vehicles', 'Limits'],
    }),
    tasks: build.query<TaskList, { vehicleId?: string; withinDays?: number; filters?: 'with' | 'without' }>({
      query: (params) => ({ url: '/tasks', params }),
      providesTags: ['Jobs', 'Vehicles', 'Limits'],
    }),
    vehicleHistory: build.query<VehicleHistory, string>({
      query: (vehicleId) => `/vehicles/${vehicleId}/history`,
      providesTags: ['Jobs'],
    }),
    familyBook: build.query<FamilyBook, string>({
      query: (vehicleId) => `/vehicles/${vehicleId}/family`,
      providesTags: ['Jobs'],
    }),
    channelCorrections: build.query<ChannelCorrection[], void>({
      query: () => '/channel-corrections',
      providesTags: ['Corrections'],
    }),
    rememberCorrection: build.mutation<NewChannelCorrection, NewChannelCorrection>({
      query: (body) => ({ url: '/channel-corrections', method: 'PUT', body }),
      invalidatesTags: ['Corrections'],
    }),
    takeCorrections: build.mutation<{ taken: number }, ChannelCorrectionList>({
      query: (body) => ({ url: '/channel-corrections', method: 'POST', body }),
      invalidatesTags: ['Corrections'],
    }),
    vehicles: build.query<Vehicle[], { find?: string }>({
      query: (params) => ({ url: '/vehicles', params }),
      providesTags: ['Vehicles'],
    }),
    vehicle: build.query<Vehicle, string>({ query: (id) => `/vehicles/${id}`, providesTags: ['Vehicles'] }),
    addVehicle: build.mutation<Vehicle, NewVehicle>({
      query: (body) => ({ url: '/vehicles', method: 'POST', body }),
      invalidatesTags: ['Vehicles'],
    }),
    changeVehicle: build.mutation<
      Vehicle,
      { id: string; body: Omit<NewVehicle, 'id'> & { revision: number } }
    >({
      query: ({ id, body }) => ({ url: `/vehicles/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Vehicles', 'Job', 'Jobs'],
    }),
    filters: build.query<FilterModel[], void>({ query: () => '/filters', providesTags: ['Filters'] }),
    addFilter: build.mutation<FilterModel, FilterModel>({
      query: (body) => ({ url: '/filters', method: 'POST', body }),
      invalidatesTags: ['Filters'],
    }),
    fluids: build.query<Fluid[], void>({ query: () => '/fluids', providesTags: ['Fluids'] }),
    addFluid: build.mutation<Fluid, NewFluid>({
      query: (body) => ({ url: '/fluids', method: 'POST', body }),
      invalidatesTags: ['Fluids'],
    }),
    changeFluid: build.mutation<Fluid, NewFluid & { revision: number }>({
      query: ({ id, ...body }) => ({ url: `/fluids/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Fluids'],
    }),
    customers: build.query<Customer[], void>({ query: () => '/customers', providesTags: ['Customers'] }),
    addCustomer: build.mutation<Customer, Customer>({
      query: (body) => ({ url: '/customers', method: 'POST', body }),
      invalidatesTags: ['Customers'],
    }),
    limits: build.query<LimitsProfile[], void>({ query: () => '/limits', providesTags: ['Limits'] }),
    setLimits: build.mutation<LimitsProfile, NewLimitsProfile>({
      query: (body) => ({ url: '/limits', method: 'POST', body }),
      invalidatesTags: ['Limits', 'Job', 'Jobs'],
    }),
  }),
});

export const {
  useSessionQuery,
  useSignInMutation,
  useDemoSignInMutation,
  useSignOutMutation,
  useFirstRunMutation,
  useMembersQuery,
  useAddMemberMutation,
  useJobsQuery,
  useJobPagesInfiniteQuery,
  useJobQuery,
  useClocksQuery,
  useFluidsQuery,
  useAddFluidMutation,
  useChangeFluidMutation,
  useOpenJobMutation,
  useUploadLogMutation,
  useReadLogAgainMutation,
  useUploadPhotoMutation,
  useSetWorkshopMutation,
  useHandOverQuery,
  useMakeShareMutation,
  useRevokeShareMutation,
  useSendMailMutation,
  useSharedReportQuery,
  useVehicleOutlookQuery,
  useTakeArchiveInMutation,
  useSetPasswordMutation,
  useChangeMemberMutation,
  useRemoveMemberMutation,
  useChangePasswordMutation,
  useSignedInQuery,
  useRevokeSessionMutation,
  useOfferSecondFactorMutation,
  useConfirmSecondFactorMutation,
  useEndSecondFactorMutation,
  useFleetQuery,
  useFleetCausesQuery,
  useTasksQuery,
  useVehicleHistoryQuery,
  useFamilyBookQuery,
  useChannelCorrectionsQuery,
  useRememberCorrectionMutation,
  useTakeCorrectionsMutation,
  useVehiclesQuery,
  useVehicleQuery,
  useAddVehicleMutation,
  useChangeVehicleMutation,
  useFiltersQuery,
  useAddFilterMutation,
  useCustomersQuery,
  useAddCustomerMutation,
  useLimitsQuery,
  useSetLimitsMutation,
} = api;

/** Fetches a job before it is opened; not again what is but a moment old. */
export const useJobAhead = () => api.usePrefetch('job', { ifOlderThan: 5 });
