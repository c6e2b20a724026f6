import type { Capabilities } from 'selenium-webdriver';
import { WebSocket } from 'ws';
import type { Visitor } from './browser';

/** An event of the browser's trace (Trace Event Format). */
interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  readonly pid: number;
  readonly tid: number;
  /** Processor time that it took, µs; times on the wall are `ts` and `dur`. */
  readonly tdur?: number;
  readonly args?: { readonly name?: string };
}

/** Processor time of every task of the page's own thread while something is done, ms, longest first. */
export async function pageTasks(
  visitor: Visitor,
  act: () => Promise<unknown>,
): Promise<readonly number[]> {
  const mark = 'lucky-thread-trace';
  const events = await traced(visitor, async () => {
    await visitor.driver.executeScript(`performance.mark('${mark}')`);
    await act();
  });
  const page = events.find(({ name }) => name === mark);
  const threads = events.filter(
    ({ name, args }) => name === 'thread_name' && args?.name === 'CrRendererMain',
  );
  const main = threads.find(({ pid }) => pid === page?.pid);
  if (main === undefined) throw new Error('the trace has no thread of the page');
  return events
    .filter(({ name, ph, pid, tid }) => isTask(name, ph) && pid === main.pid && tid === main.tid)
    .map(({ tdur }) => (tdur ?? 0) / 1000)
    .sort((left, right) => right - left);
}

function isTask(name: string, ph: string): boolean {
  return ph === 'X' && name.endsWith('RunTask');
}

/** What the browser traces while something is done. */
async function traced(visitor: Visitor, act: () => Promise<void>): Promise<TraceEvent[]> {
  const socket = new WebSocket(await addressOf(visitor));
  await new Promise((resolve, reject) => {
    socket.once('open', resolve);
    socket.once('error', reject);
  });
  const events: TraceEvent[] = [];
  let started: () => void = () => undefined;
  const begun = new Promise<void>((resolve) => (started = resolve));
  const complete = new Promise<void>((resolve) => {
    socket.on('message', (data: Buffer) => {
      const { id, method, params } = JSON.parse(data.toString()) as {
        readonly id?: number;
        readonly method?: string;
        readonly params?: { readonly value?: readonly TraceEvent[] };
      };
      if (id === 1) started();
      if (method === 'Tracing.dataCollected') events.push(...(params?.value ?? []));
      if (method === 'Tracing.tracingComplete') resolve();
    });
  });
  const categories = ['toplevel', 'devtools.timeline', 'blink.user_timing'];
  const params = {
    transferMode: 'ReportEvents',
    traceConfig: { includedCategories: categories },
  };
  socket.send(JSON.stringify({ id: 1, method: 'Tracing.start', params }));
  await begun;
  await act();
  socket.send(JSON.stringify({ id: 2, method: 'Tracing.end' }));
  await complete;
  socket.close();
  return events;
}

async function addressOf(visitor: Visitor): Promise<string> {
  const capabilities: Capabilities = await visitor.driver.getCapabilities();
  const options = capabilities.get('goog:chromeOptions') as { readonly debuggerAddress: string };
  const answer = await fetch(`http://${options.debuggerAddress}/json/version`);
  const { webSocketDebuggerUrl } = (await answer.json()) as {
    readonly webSocketDebuggerUrl: string;
  };
  return webSocketDebuggerUrl;
}
