import type {
  BodyInput,
  CreateJobRequest,
  CreateModelRequest,
  DescribePhotoRequest,
  DeviceFileInput,
  DeviceView,
  DevicesBroughtIn,
  GlossaryEntryView,
  HandbookEntryRequest,
  ImportResult,
  JobFilter,
  JobPage,
  JobView,
  LogTapRequest,
  ModelSummary,
  ModelView,
  PickListView,
  PlaceInput,
  ReadingRequest,
  ReadingView,
  SearchAnswer,
  SessionView,
  ShopView,
  SignInRequest,
  SplitModelRequest,
  TapPage,
  TapPointView,
  UpdateShopRequest,
} from '@lucky-thread/contract';
import type { BaseQueryFn, FetchArgs, FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type { Sent } from './commands';
import { newerJob } from './newerJob';
import { problemOf } from './problemText';
import { sessionExpired } from './sessionSlice';

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
  tagTypes: ['Session', 'Models', 'Taps', 'Jobs', 'Readings', 'Shop', 'Devices'],
  endpoints: (build) => ({
    session: build.query<SessionView, void>({ query: () => '/session', providesTags: ['Session'] }),
    signIn: build.mutation<SessionView, SignInRequest>({
      query: (body) => ({ url: '/session', method: 'POST', body }),
      invalidatesTags: ['Session', 'Models', 'Taps', 'Jobs', 'Readings', 'Shop', 'Devices'],
    }),
    signOut: build.mutation<void, void>({
      query: () => ({ url: '/session', method: 'DELETE' }),
      invalidatesTags: ['Session'],
    }),
    models: build.query<ModelSummary[], void>({ query: () => '/models', providesTags: ['Models'] }),
    search: build.query<SearchAnswer, string>({
      query: (q) => ({ url: '/search', params: { q } }),
      providesTags: ['Models'],
    }),
    model: build.query<ModelView, string>({
      query: (id) => `/models/${id}`,
      providesTags: ['Models'],
    }),
    enterModel: build.mutation<ModelView, { id: string; body: CreateModelRequest }>({
      query: ({ id, body }) => ({ url: `/models/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Models'],
    }),
    splitModel: build.mutation<ModelView, { id: string; body: SplitModelRequest }>({
      query: ({ id, body }) => ({ url: `/models/${id}/split`, method: 'PUT', body }),
      invalidatesTags: ['Models', 'Taps', 'Jobs'],
    }),
    putBody: build.mutation<ModelView, { id: string; body: BodyInput }>({
      query: ({ id, body }) => ({ url: `/models/${id}/body`, method: 'PUT', body }),
      invalidatesTags: ['Models'],
    }),
    dropPlace: build.mutation<ModelView, { modelId: string; placeId: string }>({
      query: ({ modelId, placeId }) => ({
        url: `/models/${modelId}/places/${placeId}`,
        method: 'DELETE',
      }),
      invalidatesTags: ['Models'],
    }),
    putPlace: build.mutation<ModelView, { modelId: string; placeId: string; body: PlaceInput }>({
      query: ({ modelId, placeId, body }) => ({
        url: `/models/${modelId}/places/${placeId}`,
        method: 'PUT',
        body,
      }),
      invalidatesTags: ['Models'],
    }),
    uploadPhoto: build.mutation<
      ModelView,
      { modelId: string; placeId: string; photoId: string; jpeg: Blob }
    >({
      query: ({ modelId, placeId, photoId, jpeg }) => ({
        url: `/models/${modelId}/places/${placeId}/photos/${photoId}`,
        method: 'PUT',
        headers: { 'content-type': 'image/jpeg' },
        body: jpeg,
        timeout: FILE_PATIENCE_MS,
      }),
      invalidatesTags: ['Models'],
    }),
    describePhoto: build.mutation<ModelView, { photoId: string; body: DescribePhotoRequest }>({
      query: ({ photoId, body }) => ({ url: `/photos/${photoId}`, method: 'PUT', body }),
      invalidatesTags: ['Models'],
    }),
    dropPhoto: build.mutation<ModelView, string>({
      query: (photoId) => ({ url: `/photos/${photoId}`, method: 'DELETE' }),
      invalidatesTags: ['Models'],
    }),
    importPack: build.mutation<ModelView, { modelId: string; file: Blob }>({
      query: ({ modelId, file }) => ({
        url: `/models/${modelId}/pack`,
        method: 'PUT',
        headers: { 'content-type': 'application/zip' },
        body: file,
        timeout: FILE_PATIENCE_MS,
      }),
      invalidatesTags: ['Models'],
    }),
    enterHandbook: build.mutation<
      ModelView,
      { modelId: string; sourceId: string; body: HandbookEntryRequest }
    >({
      query: ({ modelId, sourceId, body }) => ({
        url: `/models/${modelId}/handbook/${encodeURIComponent(sourceId)}`,
        method: 'PUT',
        body,
      }),
      invalidatesTags: ['Models'],
    }),
    glossary: build.query<GlossaryEntryView[], void>({
      query: () => '/glossary',
      providesTags: ['Models'],
    }),
    dropGlossaryEntry: build.mutation<null, string>({
      query: (id) => ({ url: `/glossary/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Models'],
    }),
    taps: build.infiniteQuery<TapPage, string, string | null>({
      infiniteQueryOptions: PAGES,
      query: ({ queryArg, pageParam }) => pageOf(`/models/${queryArg}/taps`, pageParam),
      providesTags: ['Taps'],
    }),
    jobTaps: build.query<TapPointView[], string>({
      query: (jobId) => `/jobs/${jobId}/taps`,
      providesTags: ['Taps'],
    }),
    pickList: build.query<PickListView, readonly string[]>({
      query: (jobs) => `/pick-list?${jobs.map((id) => `job=${id}`).join('&')}`,
      providesTags: ['Jobs', 'Taps', 'Models'],
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
      invalidatesTags: ['Taps', 'Models'],
    }),
    devices: build.query<DeviceView[], void>({
      query: () => '/devices',
      providesTags: ['Devices'],
    }),
    keepDevice: build.mutation<DeviceView, { id: string; body: DeviceFileInput }>({
      query: ({ id, body }) => ({ url: `/devices/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Devices'],
    }),
    bringInDevices: build.mutation<DevicesBroughtIn, void>({
      query: () => ({ url: '/devices/shipped', method: 'POST' }),
      invalidatesTags: ['Devices'],
    }),
    dropDevice: build.mutation<null, string>({
      query: (id) => ({ url: `/devices/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Devices'],
    }),
    jobs: build.infiniteQuery<JobPage, Omit<JobFilter, 'after'>, string | null>({
      infiniteQueryOptions: PAGES,
      query: ({ queryArg, pageParam }) => ({
        url: '/jobs',
        params: { ...queryArg, ...(pageParam === null ? {} : { after: pageParam }) },
      }),
      providesTags: ['Jobs'],
    }),
    job: build.query<JobView, string>({
      query: (id) => `/jobs/${id}`,
      providesTags: (_result, _error, id) => [{ type: 'Jobs', id }, 'Jobs'],
      merge: newerJob,
    }),
    createJob: build.mutation<JobView, { id: string; body: CreateJobRequest }>({
      query: ({ id, body }) => ({ url: `/jobs/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Jobs'],
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
    updateShop: build.mutation<ShopView, UpdateShopRequest>({
      query: (body) => ({ url: '/shop', method: 'PUT', body }),
      // On a stale version too: the next change starts from what it is now.
      invalidatesTags: ['Shop'],
    }),
    logTap: build.mutation<TapPointView, { jobId: string; id: string; body: LogTapRequest }>({
      query: ({ jobId, id, body }) => ({ url: `/jobs/${jobId}/taps/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Taps', 'Jobs', 'Models'],
    }),
  }),
});

export const {
  useSearchQuery,
  useSessionQuery,
  useSignInMutation,
  useSignOutMutation,
  useModelsQuery,
  useModelQuery,
  useDropGlossaryEntryMutation,
  useBringInDevicesMutation,
  useDropDeviceMutation,
  useKeepDeviceMutation,
  useEnterHandbookMutation,
  useEnterModelMutation,
  useDropPlaceMutation,
  useSplitModelMutation,
  usePutBodyMutation,
  useUploadPhotoMutation,
  useDescribePhotoMutation,
  useDropPhotoMutation,
  useImportPackMutation,
  usePutPlaceMutation,
  useGlossaryQuery,
  useTapsInfiniteQuery,
  useJobTapsQuery,
  usePickListQuery,
  useImportTapsMutation,
  useDevicesQuery,
  useJobsInfiniteQuery,
  useJobQuery,
  useCreateJobMutation,
  useReadingsQuery,
  useLogTapMutation,
  useShopQuery,
  useUpdateShopMutation,
} = api;
