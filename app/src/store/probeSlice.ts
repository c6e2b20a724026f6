import type { Until } from '@lucky-thread/core/identify';
import type { StateChange, StitchPlace, VehicleState } from '@lucky-thread/core/vehicle';
import { nextState } from '@lucky-thread/core/vehicle';
import type { PayloadAction } from '@reduxjs/toolkit';
import { createSlice } from '@reduxjs/toolkit';

/** Where the installer is within one job. */
export interface Probing {
  /** State that the vehicle was last brought into. */
  readonly state: VehicleState;
  /** Id of the source in hand; undefined when none is. */
  readonly sourceId: string | undefined;
  /** Places left for later. */
  readonly cannot: readonly StitchPlace[];
  /** How far testing goes: until the feeds are served, or until the log can name each function. */
  readonly until: Until;
  /** A test lamp is at hand beside the meter. */
  readonly lamp: boolean;
  /** The vehicle's handbook or fuse table is at hand. */
  readonly handbook: boolean;
  /** No 9 V source is at hand. */
  readonly noPop: boolean;
  /** Where the instrument is clipped. */
  readonly clip: 'ground' | 'constant';
  /** Nobody is there to hold a pedal or a switch meanwhile. */
  readonly alone: boolean;
  /** It is known where the last reading left the car, or somebody has said it; until then nothing is read. */
  readonly resumed: boolean;
}

const initialState: Record<string, Probing> = {};

/** Probing before anything was done. */
export const FRESH: Omit<Probing, 'state' | 'cannot'> = {
  sourceId: undefined,
  until: 'function',
  lamp: true,
  handbook: true,
  noPop: false,
  clip: 'ground',
  alone: true,
  resumed: true,
};

const slice = createSlice({
  name: 'probe',
  initialState,
  reducers: {
    /** The job's probing begins, or is taken up again in the state that its readings tell as soon as they are there. */
    probingOpened: (
      all,
      action: PayloadAction<{
        jobId: string;
        state: VehicleState;
        deferred: readonly StitchPlace[];
        /** Its readings are there, so that the state is theirs; left out: they are. */
        resumed?: boolean;
      }>,
    ) => {
      const { jobId, state, deferred, resumed = true } = action.payload;
      const known = all[jobId];
      if (known === undefined) all[jobId] = { ...FRESH, state, resumed, cannot: [...deferred] };
      else if (!known.resumed) Object.assign(known, { state, resumed });
    },
    carChanged: (all, action: PayloadAction<{ jobId: string; change: StateChange }>) => {
      const probing = all[action.payload.jobId];
      if (probing === undefined) return;
      probing.state = nextState(probing.state, action.payload.change);
      probing.resumed = true;
    },
    carBroughtTo: (
      all,
      action: PayloadAction<{
        jobId: string;
        state: VehicleState;
        sourceId?: string;
        clip?: Probing['clip'];
      }>,
    ) => {
      const { jobId, state, sourceId, clip } = action.payload;
      const probing = all[jobId];
      if (probing === undefined) return;
      probing.state = state;
      probing.resumed = true;
      if (sourceId !== undefined) probing.sourceId = sourceId;
      if (clip !== undefined) probing.clip = clip;
    },
    clipMoved: (all, action: PayloadAction<{ jobId: string; clip: Probing['clip'] }>) => {
      const probing = all[action.payload.jobId];
      if (probing !== undefined) probing.clip = action.payload.clip;
    },
    helpChanged: (all, action: PayloadAction<{ jobId: string; alone: boolean }>) => {
      const probing = all[action.payload.jobId];
      if (probing !== undefined) probing.alone = action.payload.alone;
    },
    slotTouched: (all, action: PayloadAction<{ jobId: string; sourceId: string }>) => {
      const probing = all[action.payload.jobId];
      if (probing !== undefined) probing.sourceId = action.payload.sourceId;
    },
    untilChanged: (all, action: PayloadAction<{ jobId: string; until: Until }>) => {
      const probing = all[action.payload.jobId];
      if (probing !== undefined) probing.until = action.payload.until;
    },
    handbookChanged: (all, action: PayloadAction<{ jobId: string; handbook: boolean }>) => {
      const probing = all[action.payload.jobId];
      if (probing !== undefined) probing.handbook = action.payload.handbook;
    },
    popChanged: (all, action: PayloadAction<{ jobId: string; noPop: boolean }>) => {
      const probing = all[action.payload.jobId];
      if (probing !== undefined) probing.noPop = action.payload.noPop;
    },
    lampChanged: (all, action: PayloadAction<{ jobId: string; lamp: boolean }>) => {
      const probing = all[action.payload.jobId];
      if (probing !== undefined) probing.lamp = action.payload.lamp;
    },
    placesDeferred: (
      all,
      action: PayloadAction<{ jobId: string; places: readonly StitchPlace[]; deferred: boolean }>,
    ) => {
      const { jobId, places, deferred } = action.payload;
      const probing = all[jobId];
      if (probing === undefined) return;
      probing.cannot = probing.cannot.filter((one) => !places.includes(one));
      if (deferred) probing.cannot.push(...places);
    },
  },
});

export const {
  probingOpened,
  carChanged,
  carBroughtTo,
  slotTouched,
  placesDeferred,
  untilChanged,
  handbookChanged,
  lampChanged,
  popChanged,
  clipMoved,
  helpChanged,
} = slice.actions;
export const probeReducer = slice.reducer;
