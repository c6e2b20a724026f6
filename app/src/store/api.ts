import type {
  CreateJobRequest,
  DeviceView,
  ImportResult,
  JobView,
  LogTapRequest,
  ModelSummary,
  ModelView,
  ReadingRequest,
  ReadingView,
  SessionView,
  ShopView,
  SignInRequest,
  TapPointView,
  UpdateJobRequest,
  UpdateShopRequest,
} from '@lucky-thread/contract';
import type { BaseQueryFn, FetchArgs, FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import { sessionExpired } from './sessionSlice';

const plainQuery = fetchBaseQuery({ baseUrl: '/api' });

/** Notes when the session has ended, so that the sign-in screen comes up and brings the user back. */
const queryWithSession: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError> = async (
  args,
  api,
  extra,
) => {
  const result = await plainQuery(args, api, extra);
  const signingIn = typeof args !== 'string' && args.url === '/session';
  if (result.error?.status === 401 && !signingIn) api.dispatch(sessionExpired());
  return result;
};

/** The server's data, cached. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: queryWithSession,
  tagTypes: ['Session', 'Models', 'Taps', 'Jobs', 'Readings', 'Shop'],
  endpoints: (build) => ({
    session: build.query<SessionView, void>({ query: () => '/session', providesTags: ['Session'] }),
    signIn: build.mutation<SessionView, SignInRequest>({
      query: (body) => ({ url: '/session', method: 'POST', body }),
      invalidatesTags: ['Session', 'Models', 'Taps', 'Jobs', 'Readings', 'Shop'],
    }),
    signOut: build.mutation<void, void>({
      query: () => ({ url: '/session', method: 'DELETE' }),
      invalidatesTags: ['Session'],
    }),
    models: build.query<ModelSummary[], void>({ query: () => '/models', providesTags: ['Models'] }),
    model: build.query<ModelView, string>({
      query: (id) => `/models/${id}`,
      providesTags: ['Models'],
    }),
    taps: build.query<TapPointView[], string>({
      query: (modelId) => `/models/${modelId}/taps`,
      providesTags: ['Taps'],
    }),
    importTaps: build.mutation<ImportResult, { modelId: string; csv: string }>({
      query: ({ modelId, csv }) => ({
        url: `/models/${modelId}/taps.csv`,
        method: 'POST',
        headers: { 'content-type': 'text/csv' },
        body: csv,
      }),
      invalidatesTags: ['Taps', 'Models'],
    }),
    devices: build.query<DeviceView[], void>({ query: () => '/devices' }),
    jobs: build.query<JobView[], void>({ query: () => '/jobs', providesTags: ['Jobs'] }),
    job: build.query<JobView, string>({
      query: (id) => `/jobs/${id}`,
      providesTags: (_result, _error, id) => [{ type: 'Jobs', id }, 'Jobs'],
    }),
    createJob: build.mutation<JobView, { id: string; body: CreateJobRequest }>({
      query: ({ id, body }) => ({ url: `/jobs/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Jobs'],
    }),
    updateJob: build.mutation<JobView, { id: string; body: UpdateJobRequest }>({
      query: ({ id, body }) => ({ url: `/jobs/${id}`, method: 'PATCH', body }),
      // On a stale version too: the job is fetched anew, so that the next change starts from what it is now.
      invalidatesTags: ['Jobs'],
    }),
    readings: build.query<ReadingView[], string>({
      query: (jobId) => `/jobs/${jobId}/readings`,
      providesTags: (_result, _error, jobId) => [{ type: 'Readings', id: jobId }, 'Readings'],
    }),
    putReading: build.mutation<ReadingView, { jobId: string; id: string; body: ReadingRequest }>({
      query: ({ jobId, id, body }) => ({
        url: `/jobs/${jobId}/readings/${id}`,
        method: 'PUT',
        body,
      }),
    }),
    withdrawReading: build.mutation<ReadingView, { jobId: string; id: string }>({
      query: ({ jobId, id }) => ({
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
  useSessionQuery,
  useSignInMutation,
  useSignOutMutation,
  useModelsQuery,
  useModelQuery,
  useTapsQuery,
  useImportTapsMutation,
  useDevicesQuery,
  useJobsQuery,
  useJobQuery,
  useCreateJobMutation,
  useUpdateJobMutation,
  useReadingsQuery,
  useLogTapMutation,
  useShopQuery,
  useUpdateShopMutation,
} = api;
