import {
  createApi,
  fetchBaseQuery,
  type BaseQueryApi,
  type BaseQueryFn,
  type FetchArgs,
  type FetchBaseQueryError,
} from '@reduxjs/toolkit/query/react';
import type {
  ChannelCorrection,
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
  Problem,
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
import { arrived, onItsWay } from '../features/files/sending.ts';
import { learnServerTime } from './serverClock.ts';
import { sessionEnded } from './sessionEnd.ts';

let csrfToken: string | undefined;
/** Who is at work on this page, until they sign out. */
let atWork: Member | undefined;

const raw = fetchBaseQuery({
  baseUrl: '/api',
  prepareHeaders: (headers) => {
    if (csrfToken) headers.set('x-csrf-token', csrfToken);
    return headers;
  },
});

/** An answer that carries the server's time tells how far this device's clock is off. */
const learnTime = (data: unknown, askedMs: number): void => {
  const now = (data as Partial<RunningClocks> | undefined)?.now;
  if (now !== undefined) learnServerTime(Date.parse(now), askedMs, Date.now());
};

const learnToken = (data: unknown): void => {
  const token = (data as Partial<Session> | undefined)?.csrfToken;
  if (token) csrfToken = token;
};

/** Every write carries the session's token; one that is out of date is fetched anew and the write sent once more. */
const baseQuery: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError> = async (args, api, extra) => {
  const writes = typeof args !== 'string' && (args.method ?? 'GET') !== 'GET';
  if (writes && !csrfToken) learnToken((await raw('/session', api, extra)).data);
  const askedMs = Date.now();
  let result = await raw(args, api, extra);
  learnTime(result.data, askedMs);
  if (writes && result.error?.status === 403 && problemOf(result.error).title === OUT_OF_DATE) {
    learnToken((await raw('/session', api, extra)).data);
    result = await raw(args, api, extra);
  }
  learnToken(result.data);
  // Signing in and out have answers of their own; anything else that wants a session had one.
  const path = typeof args === 'string' ? args : args.url;
  if (result.error?.status === 401 && !path.startsWith('/session')) api.dispatch(sessionEnded());
  return result;
};

/** Below this nobody sees that a file is on its way. */
const SHOWN_AFTER_MS = 700;
const OUT_OF_DATE = 'The page is out of date';

/** Sends a file, with what the frame of the pages shows of it meanwhile. */
async function sent(file: File, id: string, { dispatch }: BaseQueryApi) {
  const { sendFile } = await import('../features/files/sendFile.ts');
  const began = Date.now();
  let share = 0;
  const show = (broken: boolean): void => {
    if (broken || Date.now() - began > SHOWN_AFTER_MS)
      dispatch(onItsWay({ id, name: file.name, share, broken }));
  };
  try {
    return await sendFile(file, {
      token: () => csrfToken,
      onSent: (now) => {
        share = now;
        show(false);
      },
      onBroken: () => show(true),
    });
  } finally {
    dispatch(arrived(id));
  }
}

/** An upload: the file first, in as many pieces as the connection takes, then the request that says what it is for. */
const fileQuery =
  <A extends { readonly file: File }, T>(
    request: (args: A) => { readonly url: string; readonly fields: object },
  ) =>
  async (args: A, queryApi: BaseQueryApi): Promise<{ data: T } | { error: FetchBaseQueryError }> => {
    const ask = (what: string | FetchArgs) => baseQuery(what, queryApi, {});
    const { file } = args;
    const id = crypto.randomUUID();
    if (!csrfToken) await ask('/session');
    let kept = await sent(file, id, queryApi);
    if ('error' in kept && problemOf(kept.error).title === OUT_OF_DATE) {
      await ask('/session');
      kept = await sent(file, id, queryApi);
    }
    if ('error' in kept) {
      if (kept.error.status === 401) queryApi.dispatch(sessionEnded());
      return kept;
    }
    const { url, fields } = request(args);
    const { data, error } = await ask({
      url,
      method: 'POST',
      body: { upload: { id: kept.data.id, name: file.name }, fields },
    });
    if (error) return { error };
    await kept.data.forget().catch(() => undefined);
    return { data: data as T };
  };

/** What a failed request says to a person: what was wrong, and where. */
export function problemOf(error: unknown): Problem {
  const { status, data } = (error ?? {}) as FetchBaseQueryError;
  if (typeof data === 'object' && data !== null && 'title' in data) return data as Problem;
  if (
    status === 'FETCH_ERROR' ||
    status === 'TIMEOUT_ERROR' ||
    status === undefined ||
    status === 'CUSTOM_ERROR'
  ) {
    return {
      type: 'about:blank',
      status: 0,
      title: 'The server cannot be reached',
      detail: 'What you typed is kept on this device.',
    };
  }
  return {
    type: 'about:blank',
    status: typeof status === 'number' ? status : 0,
    title: 'The server gave no clear answer',
  };
}

export interface JobList {
  readonly jobs: readonly JobListItem[];
  readonly next?: string;
}

interface JobFile {
  readonly jobId: string;
  readonly id: string;
  readonly file: File;
}

const TAGS = [
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
    setWorkshop: build.mutation<Workshop, Pick<Workshop, 'signOffBy'>>({
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
    sharedReport: build.query<SharedReport, string>({
      query: (token) => `/shared/${encodeURIComponent(token)}`,
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
