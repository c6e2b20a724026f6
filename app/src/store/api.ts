import type {
  DeviceView,
  GlossaryEntryView,
  ImportResult,
  JobFilter,
  JobPage,
  JobView,
  ModelSummary,
  ModelView,
  PickListView,
  ReadingRequest,
  ReadingView,
  SearchAnswer,
  SessionView,
  ShopView,
  SignInRequest,
  TapPage,
  TapPointView,
} from '@lucky-thread/contract';
import type { BaseQueryFn, FetchArgs, FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type { Sent } from './commands';
import { newerJob } from './newerJob';
import { problemOf } from './problemText';
import { sessionExpired } from './sessionSlice';
import type { SentCommand } from './shopCommands/sentCommand';
import { TAGS } from './tags';

/** A request without an answer counts as lost after this, ms: above what the server itself waits for its database. */
const PATIENCE_MS = 15_000;
/** A file of tap points takes longer, ms. */
const FILE_PATIENCE_MS = 120_000;

const plainQuery = fetchBaseQuery({ baseUrl: '/api', timeout: PATIENCE_MS });

/** Who made what is sent; the server takes it from nobody else. */
function madeBy(by: string | undefined): { headers?: Record<string, string> } {
  return by === undefined ? {} : { headers: { 'made-by': by } };
}

/** Pages of a list, each beginning where the one before ended. */
const PAGES = {
  initialPageParam: null as string | null,
  getNextPageParam: (last: { readonly next: string | null }) => last.next,
};

function pageOf(path: string, after: string | null): string {
  return after === null ? path : `${path}?after=${encodeURIComponent(after)}`;
}

/** Notes when the session has ended, so that the sign-in screen comes up and brings the user back. */
const queryWithSession: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError> = async (
  args,
  api,
  extra,
) => {
  const result = await plainQuery(args, api, extra);
  const signingIn = typeof args !== 'string' && args.url === '/session';
  const ended = result.error?.status === 401 || problemOf(result.error)?.type === 'other-user';
  if (ended && !signingIn) api.dispatch(sessionExpired());
  return result;
};

/** The server's data, cached. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: queryWithSession,
  tagTypes: TAGS,
  endpoints: (build) => ({
    session: build.query<SessionView, void>({ query: () => '/session', providesTags: ['Session'] }),
    signIn: build.mutation<SessionView, SignInRequest>({
      query: (body) => ({ url: '/session', method: 'POST', body }),
      invalidatesTags: TAGS,
    }),
    signOut: build.mutation<void, void>({
      query: () => ({ url: '/session', method: 'DELETE' }),
      invalidatesTags: ['Session'],
    }),
    models: build.query<ModelSummary[], void>({
      query: () => '/models',
      providesTags: ['ModelLists'],
    }),
    search: build.query<SearchAnswer, string>({
      query: (q) => ({ url: '/search', params: { q } }),
      providesTags: ['ModelLists'],
    }),
    model: build.query<ModelView, string>({
      query: (id) => `/models/${id}`,
      providesTags: ['Models'],
    }),
    importPack: build.mutation<ModelView, { modelId: string; file: Blob }>({
      query: ({ modelId, file }) => ({
        url: `/models/${modelId}/pack`,
        method: 'PUT',
        headers: { 'content-type': 'application/zip' },
        body: file,
        timeout: FILE_PATIENCE_MS,
      }),
      invalidatesTags: ['Models', 'ModelLists'],
    }),
    glossary: build.query<GlossaryEntryView[], void>({
      query: () => '/glossary',
      providesTags: ['Glossary'],
    }),
    taps: build.infiniteQuery<TapPage, string, string | null>({
      infiniteQueryOptions: PAGES,
      query: ({ queryArg, pageParam }) => pageOf(`/models/${queryArg}/taps`, pageParam),
      providesTags: ['TapLists'],
    }),
    jobTaps: build.query<TapPointView[], string>({
      query: (jobId) => `/jobs/${jobId}/taps`,
      providesTags: ['Taps'],
    }),
    pickList: build.query<PickListView, readonly string[]>({
      query: (jobs) => `/pick-list?${jobs.map((id) => `job=${id}`).join('&')}`,
      providesTags: ['JobLists', 'TapLists', 'ModelLists'],
    }),
    importTaps: build.mutation<ImportResult, { modelId: string; file: Blob }>({
      // The file goes out byte for byte: read as text here, another encoding would lose its umlauts.
      query: ({ modelId, file }) => ({
        url: `/models/${modelId}/taps.csv`,
        method: 'POST',
        headers: { 'content-type': 'text/csv' },
        body: file,
        timeout: FILE_PATIENCE_MS,
      }),
      invalidatesTags: ['Taps', 'TapLists', 'ModelLists'],
    }),
    devices: build.query<DeviceView[], void>({
      query: () => '/devices',
      providesTags: ['Devices'],
    }),
    jobs: build.infiniteQuery<JobPage, Omit<JobFilter, 'after'>, string | null>({
      infiniteQueryOptions: PAGES,
      query: ({ queryArg, pageParam }) => ({
        url: '/jobs',
        params: { ...queryArg, ...(pageParam === null ? {} : { after: pageParam }) },
      }),
      providesTags: ['JobLists'],
    }),
    job: build.query<JobView, string>({
      query: (id) => `/jobs/${id}`,
      providesTags: (_result, _error, id) => [{ type: 'Jobs', id }, 'Jobs'],
      merge: newerJob,
    }),
    commandJob: build.mutation<JobView, { jobId: string; by?: string | undefined; sent: Sent }>({
      query: ({ jobId, by, sent }) => ({
        ...madeBy(by),
        url: `/jobs/${jobId}/${sent.path}`,
        method: 'PUT',
        body: sent.body,
      }),
    }),
    readings: build.query<ReadingView[], string>({
      query: (jobId) => `/jobs/${jobId}/readings`,
      providesTags: (_result, _error, jobId) => [{ type: 'Readings', id: jobId }, 'Readings'],
    }),
    commandShop: build.mutation<unknown, { by?: string | undefined; sent: SentCommand }>({
      query: ({ by, sent }) => ({
        ...madeBy(by),
        url: sent.path,
        method: sent.method,
        body: sent.body,
        timeout: sent.body instanceof Blob ? FILE_PATIENCE_MS : PATIENCE_MS,
      }),
    }),
    putReading: build.mutation<
      ReadingView,
      { jobId: string; id: string; by?: string | undefined; body: ReadingRequest }
    >({
      query: ({ jobId, id, by, body }) => ({
        ...madeBy(by),
        url: `/jobs/${jobId}/readings/${id}`,
        method: 'PUT',
        body,
      }),
    }),
    withdrawReading: build.mutation<
      ReadingView,
      { jobId: string; id: string; by?: string | undefined }
    >({
      query: ({ jobId, id, by }) => ({
        ...madeBy(by),
        url: `/jobs/${jobId}/readings/${id}/withdrawal`,
        method: 'PUT',
      }),
    }),
    shop: build.query<ShopView, void>({ query: () => '/shop', providesTags: ['Shop'] }),
  }),
});

export const {
  useSearchQuery,
  useSessionQuery,
  useSignInMutation,
  useSignOutMutation,
  useModelsQuery,
  useModelQuery,
  useImportPackMutation,
  useGlossaryQuery,
  useTapsInfiniteQuery,
  useJobTapsQuery,
  usePickListQuery,
  useImportTapsMutation,
  useDevicesQuery,
  useJobsInfiniteQuery,
  useJobQuery,
  useReadingsQuery,
  useShopQuery,
} = api;
