import type { ModelView } from '@lucky-thread/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { renderInApp } from '../../testing/render';
import { HandbookEntry } from './HandbookEntry';

const SLOT = { id: 'dash/F7', position: 'F7', legend: 'X7' };
const MODEL: Pick<ModelView, 'id' | 'make' | 'handbook'> = {
  id: 'm',
  make: 'Heron',
  handbook: [],
};

function sent(): jest.Mock {
  const fetched = jest.fn(() => Promise.resolve(new Response('{}', { status: 200 })));
  globalThis.fetch = fetched as unknown as typeof fetch;
  return fetched;
}

describe('HandbookEntry', () => {
  it('asks nothing until it is opened, then keeps the words as typed', async () => {
    const fetched = sent();
    renderInApp(<HandbookEntry model={MODEL} slot={SLOT} />);
    expect(screen.queryByTestId('handbook-entry')).toBeNull();
    fireEvent.press(screen.getByTestId('handbook-open'));
    fireEvent.changeText(screen.getByTestId('handbook-entry'), ' Heated seats ');
    fireEvent.press(screen.getByTestId('handbook-keep'));
    await waitFor(() => expect(fetched).toHaveBeenCalled());
    const request = (fetched.mock.calls as unknown as [Request][])[0]?.[0];
    expect(request?.method).toBe('PUT');
    expect(request?.url).toMatch(/\/models\/m\/handbook\/dash%2FF7$/);
    expect(await request?.clone().json()).toEqual({ entry: 'Heated seats' });
  });

  it('stands open where the plan asks, and takes “not listed”', async () => {
    const fetched = sent();
    renderInApp(<HandbookEntry model={MODEL} slot={SLOT} asked />);
    fireEvent.press(screen.getByTestId('handbook-none'));
    await waitFor(() => expect(fetched).toHaveBeenCalled());
    const request = (fetched.mock.calls as unknown as [Request][])[0]?.[0];
    expect(await request?.clone().json()).toEqual({ entry: null });
  });

  it.each([
    ['Radio', false, 'Handbook: Radio (Mika, 2026-11-02).'],
    ['Radio', true, 'Handbook: Radio (Mika, 2026-11-02, found on another Heron).'],
    [null, false, 'Handbook: not listed (Mika, 2026-11-02).'],
  ])('says who looked it up and when: %s, from the glossary %s', (entry, fromGlossary, words) => {
    const handbook = [
      { slotId: SLOT.id, entry, fromGlossary, by: 'Mika', at: '2026-11-02T09:00:00.000Z' },
    ];
    renderInApp(<HandbookEntry model={{ ...MODEL, handbook }} slot={SLOT} />);
    expect(screen.getByTestId('handbook-known')).toHaveTextContent(words);
  });
});
