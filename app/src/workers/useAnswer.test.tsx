import { act, renderHook } from '@testing-library/react-native';
import { useAnswer } from './useAnswer';

interface Pending {
  readonly question: string;
  readonly answer: (text: string) => void;
  readonly fail: (error: unknown) => void;
}

/** A worker that answers when the test says so. */
function slowWorker() {
  const pending: Pending[] = [];
  const ask = (question: string): Promise<string> =>
    new Promise((answer, fail) => pending.push({ question, answer, fail }));
  return { pending, ask };
}

function asking(ask: (question: string) => Promise<string>) {
  return renderHook(
    (props: { readonly question: string }) => useAnswer<string, string>(props.question, ask),
    { initialProps: { question: 'one' } },
  );
}

describe('useAnswer', () => {
  it('drops the answer to an older question', async () => {
    const { pending, ask } = slowWorker();
    const { result, rerender } = asking(ask);
    rerender({ question: 'two' });
    await act(async () => pending[0]?.answer('to one'));
    expect(result.current).toMatchObject({ answer: undefined, thinking: true, problem: undefined });
    await act(async () => pending[1]?.answer('to two'));
    expect(result.current).toMatchObject({ answer: 'to two', thinking: false, problem: undefined });
  });

  it('keeps the last answer while it thinks about the next question', async () => {
    const { pending, ask } = slowWorker();
    const { result, rerender } = asking(ask);
    await act(async () => pending[0]?.answer('to one'));
    rerender({ question: 'two' });
    expect(result.current).toMatchObject({ answer: 'to one', thinking: true });
  });

  it('says why there is no answer, and forgets it with the next one', async () => {
    const { pending, ask } = slowWorker();
    const { result, rerender } = asking(ask);
    await act(async () => pending[0]?.fail(new RangeError('no such thing')));
    expect(result.current.problem).toBe('no such thing');
    rerender({ question: 'two' });
    await act(async () => pending[1]?.answer('well'));
    expect(result.current.problem).toBeUndefined();
  });

  it('asks the same question again when it is told to', async () => {
    const { pending, ask } = slowWorker();
    const { result } = asking(ask);
    await act(async () => pending[0]?.fail(new Error('broken')));
    expect(result.current).toMatchObject({ problem: 'broken', thinking: false });
    await act(async () => result.current.retry());
    expect(result.current).toMatchObject({ problem: undefined, thinking: true });
    expect(pending.map((one) => one.question)).toEqual(['one', 'one']);
    await act(async () => pending[1]?.answer('well'));
    expect(result.current).toMatchObject({ answer: 'well', problem: undefined });
  });

  it('asks nothing while there is nothing to ask', () => {
    const { pending, ask } = slowWorker();
    renderHook(() => useAnswer(undefined, ask));
    expect(pending).toEqual([]);
  });
});
