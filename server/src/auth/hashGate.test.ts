import { newHashGate } from './hashGate';

/** Work that ends when it is told to. */
function held(): { readonly work: () => Promise<string>; readonly end: () => void } {
  let end = (): void => undefined;
  const ended = new Promise<string>((resolve) => {
    end = () => resolve('done');
  });
  return { work: () => ended, end: () => end() };
}

describe('the gate before hashes', () => {
  it('lets one in at once, and refuses whoever comes meanwhile in words that help', async () => {
    const oneAtOnce = newHashGate();
    const { work, end } = held();
    const first = oneAtOnce(work);
    const second = jest.fn(() => Promise.resolve());
    await expect(oneAtOnce(second)).rejects.toMatchObject({
      document: { type: expect.stringContaining('sign-in-busy'), status: 429 },
    });
    await expect(oneAtOnce(second)).rejects.toMatchObject({
      document: {
        title: 'Too many people are signing in',
        detail: 'Try again in a moment.',
      },
    });
    expect(second).not.toHaveBeenCalled();
    end();
    expect(await first).toBe('done');
    expect(await oneAtOnce(() => Promise.resolve('next'))).toBe('next');
  });

  it('opens again after work that failed', async () => {
    const oneAtOnce = newHashGate();
    await expect(oneAtOnce(() => Promise.reject(new Error('no')))).rejects.toThrow('no');
    expect(await oneAtOnce(() => Promise.resolve('again'))).toBe('again');
  });

  it('is one of several that know nothing of one another', async () => {
    const { work, end } = held();
    const [here, there] = [newHashGate(), newHashGate()];
    const first = here(work);
    expect(await there(() => Promise.resolve('in'))).toBe('in');
    end();
    await first;
  });
});
