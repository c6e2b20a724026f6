import { act, renderHook } from '@testing-library/react-native';
import { expose } from 'comlink';
import { useSteady, useSteadyList } from './useSteady';
import type { WorkerEnd } from './workerLine';
import { workerLine } from './workerLine';

/** A worker that is a message channel, and can break. */
function fakeWorker(offer: object): WorkerEnd & { readonly fail: (message: string) => void } {
  const { port1, port2 } = new MessageChannel();
  expose(offer, port2 as unknown as Parameters<typeof expose>[1]);
  port1.start();
  const failing: ((event: Event) => void)[] = [];
  return {
    addEventListener: (type: string, listener: EventListener) => {
      if (type === 'error') failing.push(listener);
      else port1.addEventListener(type as 'message', listener as never);
    },
    removeEventListener: (type: string, listener: EventListener) =>
      port1.removeEventListener(type as 'message', listener as never),
    postMessage: (...given: unknown[]) =>
      (port1.postMessage as (...all: unknown[]) => void)(...given),
    terminate: () => {
      port1.close();
      port2.close();
    },
    fail: (message) => failing.forEach((told) => told({ message } as unknown as Event)),
  } as WorkerEnd & { readonly fail: (message: string) => void };
}

describe('a line to a worker', () => {
  it('says that the worker broke to whoever waits, and starts another for the next', async () => {
    const workers: ReturnType<typeof fakeWorker>[] = [];
    const offers = [
      { double: () => new Promise<number>(() => undefined) },
      { double: (n: number) => 2 * n },
    ];
    const line = workerLine<{ double: (n: number) => number }>(() => {
      const worker = fakeWorker(offers[workers.length] ?? {});
      workers.push(worker);
      return worker;
    });
    const waiting = line.ask(async (remote) => remote.double(1));
    const told = waiting.catch((error: Error) => error.message);
    workers[0]?.fail('');
    expect(await told).toMatch('could not be loaded');
    expect(await line.ask(async (remote) => remote.double(21))).toBe(42);
    expect(workers).toHaveLength(2);
    workers[1]?.terminate();
  });
});

describe('steady values', () => {
  it('stay the same object while they say the same', async () => {
    const { result, rerender } = renderHook((props: { readonly v: object }) => useSteady(props.v), {
      initialProps: { v: { a: [1] } },
    });
    const first = result.current;
    await act(async () => rerender({ v: { a: [1] } }));
    expect(result.current).toBe(first);
    await act(async () => rerender({ v: { a: [2] } }));
    expect(result.current).toEqual({ a: [2] });
  });

  it('of a list change one by one', async () => {
    const key = (one: { readonly id: string }): string => one.id;
    const { result, rerender } = renderHook(
      (props: { readonly list: { id: string; n: number }[] }) => useSteadyList(props.list, key),
      {
        initialProps: {
          list: [
            { id: 'a', n: 1 },
            { id: 'b', n: 1 },
          ],
        },
      },
    );
    const [a, b] = [result.current.get('a'), result.current.get('b')];
    await act(async () =>
      rerender({
        list: [
          { id: 'a', n: 1 },
          { id: 'b', n: 2 },
        ],
      }),
    );
    expect(result.current.get('a')).toBe(a);
    expect(result.current.get('b')).not.toBe(b);
    expect(result.current.get('b')).toEqual({ id: 'b', n: 2 });
  });
});
