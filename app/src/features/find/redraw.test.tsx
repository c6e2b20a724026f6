import { act } from '@testing-library/react-native';
import type { Verdict } from '@lucky-thread/core/identify';
import { judge } from '@lucky-thread/core/identify';
import type { Panel, Slot } from '@lucky-thread/core/vehicle';
import { useEffect, useState } from 'react';
import type * as DrawnModule from '../../testing/drawnWords';
import { drawn } from '../../testing/drawnWords';
import { renderInApp } from '../../testing/render';
import { useSteadyList } from '../../workers/useSteady';
import { FusePanel } from '../../panel/FusePanel';

jest.mock('../../ui/Words', () =>
  jest
    .requireActual<typeof DrawnModule>('../../testing/drawnWords')
    .watchingWords((words) => (/^F\d+$/.test(words) ? words : undefined)),
);

const SLOTS = Array.from({ length: 12 }, (_, column) => ({
  id: `dash/F${column}`,
  position: `F${column}`,
  legend: 'ACC',
  ratingA: 10,
  family: 'mini',
  column,
  row: 0,
  lie: 'tall',
  contacts: [],
  clearance: 'clear',
})) as unknown as Slot[];
const PANEL = {
  id: 'dash',
  name: 'Dash',
  location: '',
  access: [],
  columns: 12,
  rows: 1,
  slots: SLOTS,
} as Panel;
const touch = (): void => undefined;
const none: ReadonlySet<string> = new Set();

/** The verdicts as a worker sends them: the same, and every time another object. */
function verdicts(): Verdict[] {
  return SLOTS.map((slot) =>
    JSON.parse(
      JSON.stringify(
        judge(
          {
            id: slot.id,
            name: slot.position,
            legend: 'ACC',
            fitted: true,
            tappable: true,
            logged: undefined,
          },
          [],
        ),
      ),
    ),
  ) as Verdict[];
}

/** What the test does to the map from outside. */
const hands: {
  select?: (id: string) => void;
  answer?: (verdicts: readonly Verdict[]) => void;
} = {};
function Map() {
  const [selectedId, setSelected] = useState<string>();
  const [list, setList] = useState<readonly Verdict[]>(verdicts);
  useEffect(() => {
    hands.select = setSelected;
    hands.answer = setList;
  }, []);
  const byId = useSteadyList(list, (one) => one.sourceId);
  return (
    <FusePanel
      panel={PANEL}
      verdicts={byId}
      selectedId={selectedId}
      wantedIds={none}
      loggedIds={none}
      onTouch={touch}
    />
  );
}

it('a touch draws the cell it leaves and the one it comes to, an answer those it changes', async () => {
  renderInApp(<Map />);
  expect(drawn.length).toBeGreaterThanOrEqual(12);
  await act(async () => hands.select?.('dash/F1'));
  drawn.length = 0;
  await act(async () => hands.select?.('dash/F2'));
  expect([...new Set(drawn)].sort()).toEqual(['F1', 'F2']);
  drawn.length = 0;
  const [first, ...others] = verdicts();
  if (first === undefined) throw new Error('there is a verdict');
  await act(async () => hands.answer?.([{ ...first, status: 'open' }, ...others]));
  expect([...new Set(drawn)]).toEqual(['F0']);
});
