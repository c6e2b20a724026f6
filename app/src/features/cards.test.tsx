import { fireEvent, screen } from '@testing-library/react-native';
import { shownOf } from '@lucky-thread/contract';
import type { DeviceInput, ModelView, ReadingView, TapPointView } from '@lucky-thread/contract';
import { judge } from '@lucky-thread/core/identify';
import type { SlotSource } from '@lucky-thread/core/vehicle';
import { PARKED } from '@lucky-thread/core/vehicle';
import { useState } from 'react';
import { renderInApp } from '../testing/render';
import { CandidateList } from './choose/CandidateList';
import { OrientationDrawing } from '../panel/OrientationDrawing';
import { OwnDevice, ownDeviceDraft } from './job/OwnDevice';
import { TapPointCard } from '../panel/TapPointCard';

const SLOT: SlotSource = {
  kind: 'slot',
  id: 'dash/F5',
  position: 'F5',
  legend: 'CIG',
  ratingA: 15,
  family: 'mini',
  column: 0,
  row: 0,
  lie: 'tall',
  contacts: [
    { id: 'a', landmark: 'door side' },
    { id: 'b', landmark: 'seat side' },
  ],
  clearance: 'clear',
};
const MODEL = {
  places: [{ id: 'dash', kind: 'fusePanel', name: 'Dash panel', sources: [SLOT] }],
} as unknown as ModelView;
const READING: ReadingView = {
  id: 'r',
  sourceId: 'dash/F5',
  contact: null,
  state: { ...PARKED },
  instrument: 'meter',
  volts: 12.4,
  glow: null,
  highVolts: null,
  ohms: null,
  cone: null,
  speaker: null,
  otherId: null,
  clip: null,
  takenAt: '2026-05-04T10:00:00Z',
  takenBy: 'Lead',
  withdrawnAt: null,
};
const TAP: TapPointView = {
  id: 't',
  modelId: 'm',
  jobId: 'j',
  feedId: 'f',
  sourceId: 'dash/F5',
  function: 'accessory',
  supplyContact: 'a',
  supplyLandmark: 'door side',
  yearFrom: 2020,
  yearTo: 2020,
  trim: '',
  market: '',
  readings: [
    { place: 'off', ...shownOf({ kind: 'volts', volts: 0.01 }) },
    { place: 'run', ...shownOf({ kind: 'volts', volts: 12.4 }) },
  ],
  grade: 'probed',
  status: 'verified',
  fuseA: 2,
  awg: 18,
  note: 'behind the flap',
  loggedBy: 'Installer',
  loggedAt: '2026-05-04T10:00:00Z',
  confirmedJobs: 0,
  contradictedJobs: 0,
  observations: [],
};

describe('TapPointCard', () => {
  it('shows function, readings, supply side, who and when', () => {
    renderInApp(<TapPointCard tap={TAP} model={MODEL} />);
    expect(screen.getByText('Live with the key at accessory or run')).toBeTruthy();
    expect(screen.getByText('run: 12.40 V')).toBeTruthy();
    expect(
      screen.getByText(/Supply enters at the door side. Added: 2 A fuse, 18 AWG/),
    ).toBeTruthy();
    expect(
      screen.getByText(/Verified · probed · Installer, 2026-05-04 · model year 2020/),
    ).toBeTruthy();
    expect(screen.getByText('“behind the flap”')).toBeTruthy();
  });

  it('shows a contradicting reading as a caution, with who and when', () => {
    const observations = [{ kind: 'contradicted' as const, reading: READING, jobId: 'k' }];
    renderInApp(<TapPointCard tap={{ ...TAP, status: 'disputed', observations }} model={MODEL} />);
    expect(
      screen.getByLabelText(/Caution: Contradicted: 12.40 V, key off.*by Lead on 2026-05-04/),
    ).toBeTruthy();
    expect(screen.getByText('ACC ?')).toBeTruthy();
  });

  it('says of an imported one that nobody here has seen it', () => {
    renderInApp(
      <TapPointCard
        tap={{ ...TAP, readings: [], grade: 'forum', status: 'reported' }}
        model={MODEL}
      />,
    );
    expect(screen.getByText(/Imported without readings/)).toBeTruthy();
    expect(screen.getByText(/Reported · from a forum/)).toBeTruthy();
  });
});

describe('OrientationDrawing', () => {
  it.each(['tall', 'wide'] as const)('says which side the supply enters of a %s slot', (lie) => {
    const { rerender } = renderInApp(
      <OrientationDrawing slot={{ ...SLOT, lie }} supply={undefined} />,
    );
    expect(screen.getByLabelText(/supply side not found yet/)).toBeTruthy();
    rerender(<></>);
    for (const supply of ['a', 'b'] as const) {
      const drawn = renderInApp(<OrientationDrawing slot={{ ...SLOT, lie }} supply={supply} />);
      const landmark = supply === 'a' ? 'door side' : 'seat side';
      expect(
        screen.getByLabelText(`Supply enters at the ${landmark}; the tap's line blade goes there`),
      ).toBeTruthy();
      drawn.unmount();
    }
  });
});

describe('CandidateList', () => {
  const slots = new Map(
    ['F1', 'F2', 'F3', 'F4', 'F5'].map((position) => [
      position,
      { ...SLOT, id: position, position },
    ]),
  );
  const candidates = [...slots.keys()].map((sourceId) => ({
    sourceId,
    meets: 0.9,
    sure: sourceId === 'F1',
    score: 1,
    because: `because of ${sourceId}.`,
    cautions: sourceId === 'F2' ? ['Not proven.'] : [],
  }));
  const verdicts = new Map(
    [...slots].map(([id, slot]) => [
      id,
      judge(
        { id, name: id, legend: slot.legend, fitted: true, tappable: true, logged: undefined },
        [],
      ),
    ]),
  );

  it('shows the best few with reasons and cautions, the rest on demand', () => {
    const chosen: string[] = [];
    renderInApp(
      <CandidateList
        feedId="f"
        candidates={candidates}
        verdicts={verdicts}
        sources={slots}
        chosenId={undefined}
        onChoose={(id) => chosen.push(id)}
      />,
    );
    expect(screen.getByText('Best: because of F1.')).toBeTruthy();
    expect(screen.getByText('△ Not proven.')).toBeTruthy();
    expect(screen.queryByTestId('candidate-f-F5')).toBeNull();
    fireEvent.press(screen.getByText('2 more'));
    fireEvent.press(screen.getByTestId('candidate-f-F5'));
    expect(chosen).toEqual(['F5']);
  });

  it('always shows the chosen one, marked', () => {
    renderInApp(
      <CandidateList
        feedId="f"
        candidates={candidates}
        verdicts={verdicts}
        sources={slots}
        chosenId="F5"
        onChoose={() => undefined}
      />,
    );
    expect(screen.getByText('◉ F5 CIG')).toBeTruthy();
  });
});

describe('OwnDevice', () => {
  function Form(props: { readonly onDevice: (device: DeviceInput) => void }) {
    const [device, setDevice] = useState(ownDeviceDraft());
    const keep = (next: DeviceInput): void => {
      setDevice(next);
      props.onDevice(next);
    };
    return (
      <OwnDevice
        device={device}
        problems={[{ path: 'device.name', message: 'name the device' }]}
        onDevice={keep}
      />
    );
  }

  it('starts from a kind: two feeds for a camera that works parked, with inrush and parked current on demand', () => {
    let last: DeviceInput = ownDeviceDraft();
    renderInApp(<Form onDevice={(device) => (last = device)} />);
    fireEvent.press(screen.getByTestId('kind-dashcam-parked'));
    expect(last.name).toBe('Dashcam');
    expect(last.family).toBe('dashcamKit');
    expect(last.feeds.map((feed) => feed.role)).toEqual(['constant', 'switched', 'ground']);
    expect(screen.getByTestId('own-amps-0').props.value).toBe('0.5');
    fireEvent.press(screen.getByTestId('extras-0'));
    fireEvent.changeText(screen.getByTestId('inrush-0'), '2,5');
    fireEvent.changeText(screen.getByTestId('inrush-time-0'), '0.2');
    fireEvent.changeText(screen.getByTestId('standby-0'), '0.3');
    expect(last.feeds[0]).toMatchObject({ inrushA: 2.5, inrushS: 0.2, standbyA: 0.3 });
    fireEvent.changeText(screen.getByTestId('inrush-0'), '');
    expect(last.feeds[0]).not.toHaveProperty('inrushA');
    fireEvent.changeText(screen.getByTestId('capacitor-0'), '2200');
    // Computed: 14.4 V over 0.1 Ω, half of 0.1 Ω x 2.2 mF.
    expect(last.feeds[0]).toMatchObject({ inrushA: 144 });
    expect(last.feeds[0]?.inrushS).toBeCloseTo(0.00011, 9);
    fireEvent.changeText(screen.getByTestId('capacitor-0'), '0');
    expect(last.feeds[0]).toMatchObject({ inrushA: 144 });
    expect(screen.getByText(/input capacitor must lie between/)).toBeTruthy();
    expect(screen.queryByTestId('kind-amplifier-driving')).toBeNull();
  });

  it('takes feeds by hand and turns USB amperes into amperes at 12 V', () => {
    let last: DeviceInput = ownDeviceDraft();
    renderInApp(<Form onDevice={(device) => (last = device)} />);
    expect(screen.getByText('✕ name the device')).toBeTruthy();
    fireEvent.changeText(screen.getByTestId('own-name'), 'Charger');
    fireEvent.changeText(screen.getByTestId('own-amps-0'), '3');
    fireEvent.press(screen.getByText('A at 5 V'));
    expect(last.name).toBe('Charger');
    expect(last.feeds[0]?.currentA).toBeCloseTo(1.47, 2);
    fireEvent.press(screen.getByTestId('add-feed'));
    expect(last.feeds).toHaveLength(2);
    expect(last.feeds[0]?.id).not.toBe(last.feeds[1]?.id);
    fireEvent.press(
      screen.getAllByText('Remove this feed')[0] as Parameters<typeof fireEvent.press>[0],
    );
    expect(last.feeds).toHaveLength(1);
  });
});
