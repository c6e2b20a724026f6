import { fireEvent, screen } from '@testing-library/react-native';
import type { RankedSet } from '@lucky-thread/core/choose';
import { feedSheet } from '@lucky-thread/core/choose';
import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import { sizeFeed } from '@lucky-thread/core/size';
import type { FeedLoad } from '@lucky-thread/core/size';
import type { SlotSource } from '@lucky-thread/core/vehicle';
import { renderInApp } from '../testing/render';
import { SetComparison } from './choose/SetComparison';
import { SheetLines } from './size/SheetLines';
import { SizeResult } from '../sizing/SizeResult';
import { SizingOptions } from './size/SizingOptions';

const LOAD: FeedLoad = {
  currentA: 3,
  oneWayM: 4,
  returnPath: 'body',
  systemV: 12,
  dropLimitPercent: 3,
  insulation: 105,
  slot: { family: 'mini', ratingA: 15 },
};
const SLOT: SlotSource & { ratingA: number } = {
  kind: 'slot',
  id: 'dash/F1',
  position: 'F1',
  legend: 'CIG',
  ratingA: 15,
  family: 'mini',
  column: 0,
  row: 0,
  lie: 'tall',
  contacts: [
    { id: 'a', landmark: 'upper' },
    { id: 'b', landmark: 'lower' },
  ],
  clearance: 'tight',
};

describe('SizeResult', () => {
  it('shows fuse, wire and drop with the basis, and the chart on demand', () => {
    renderInApp(<SizeResult size={sizeFeed(LOAD)} load={LOAD} id="f" units="metric" />);
    expect(screen.getByText('4 A')).toBeTruthy();
    expect(screen.getByText('0.75 mm²')).toBeTruthy();
    expect(screen.getByTestId('basis-f')).toHaveTextContent(/per cent of 12.0 V.*limit 3 %/);
    expect(screen.queryByTestId('coordination-chart')).toBeNull();
    fireEvent.press(screen.getByTestId('why-f'));
    expect(screen.getByTestId('coordination-chart')).toBeTruthy();
    expect(screen.getByText(/One size up/)).toBeTruthy();
  });

  it('names the constraint of a refusal and the way out', () => {
    const load = { ...LOAD, currentA: 9 };
    renderInApp(<SizeResult size={sizeFeed(load)} load={load} id="f" units="us" />);
    expect(screen.getByText(/Does not work out, holder: .*10 A/)).toBeTruthy();
    expect(screen.getByText(/larger family, or a relay/)).toBeTruthy();
  });
});

describe('SheetLines', () => {
  it('gives joint, holder, headroom, terminal and ground, each with its why', () => {
    const sheet = feedSheet({
      slot: SLOT,
      currentA: 3,
      size: sizeFeed(LOAD),
      schools: DEFAULT_SETTINGS.schools,
      reversible: 'no trace',
      ground: { studMm: 6 },
    });
    renderInApp(<SheetLines sheet={sheet} id="f" units="us" />);
    expect(screen.getByText('fuse tap')).toBeTruthy();
    expect(screen.getByText('low mini fuse tap')).toBeTruthy();
    expect(screen.getByText(/same 15 A/)).toBeTruthy();
    expect(screen.getByText('red sleeve')).toBeTruthy();
    expect(screen.getByText(/Strip 0.24 in/)).toBeTruthy();
    expect(screen.getByText('stud, ring M6 (1/4 in)')).toBeTruthy();
  });
});

describe('SizingOptions', () => {
  it('changes the plan, not the shop', () => {
    const plans: object[] = [];
    const plan = { feedId: 'f', sourceId: 's', returnPath: 'lead' as const };
    renderInApp(
      <SizingOptions
        plan={plan}
        shop={DEFAULT_SETTINGS.sizing}
        problems={{ ambientC: 'too hot' }}
        onPlan={(changed) => plans.push(changed)}
      />,
    );
    expect(screen.getByText('✕ too hot')).toBeTruthy();
    fireEvent.press(screen.getByTestId('basis-13.8'));
    fireEvent.press(screen.getByTestId('insulation-80'));
    fireEvent.press(screen.getByTestId('engine-engine'));
    fireEvent.changeText(screen.getByTestId('spare'), '5');
    fireEvent.changeText(screen.getByTestId('measured'), '3.5');
    expect(plans).toEqual([
      { ...plan, sizing: { systemV: 13.8 } },
      { ...plan, sizing: { insulation: 80 } },
      { ...plan, sizing: { engineSpace: true } },
      { ...plan, sizing: { spareA: 5 } },
      { ...plan, measuredA: 3.5 },
    ]);
  });
});

describe('SetComparison', () => {
  const set = (slots: Record<string, string>, differences: readonly object[] = []) =>
    ({
      slots,
      panels: ['dash'],
      score: 1,
      because: 'all in the dash panel',
      differences,
    }) as unknown as RankedSet;
  const sets = [
    set({ one: 'F1', two: 'F2' }),
    set({ one: 'F1', two: 'F3' }, [
      { feedId: 'two', bestSourceId: 'F2', sourceId: 'F3', because: 'not proven yet' },
    ]),
  ];
  const slots = new Map(
    ['F1', 'F2', 'F3'].map((position) => [position, { ...SLOT, id: position, position }]),
  );
  const feeds = [
    { id: 'one', name: 'Memory' },
    { id: 'two', name: 'Wake' },
  ];

  it('puts the best set beside the next best, with what is worse about it', () => {
    const taken: object[] = [];
    renderInApp(
      <SetComparison
        sets={sets}
        feeds={feeds}
        sources={slots}
        chosen={{ one: 'F1', two: 'F2' }}
        onTake={(one) => taken.push(one.slots)}
      />,
    );
    expect(screen.getByText('Best set · taken')).toBeTruthy();
    expect(screen.queryByTestId('take-set-0')).toBeNull();
    expect(screen.getByText('↳ not proven yet')).toBeTruthy();
    fireEvent.press(screen.getByTestId('take-set-1'));
    expect(taken).toEqual([{ one: 'F1', two: 'F3' }]);
  });
});
