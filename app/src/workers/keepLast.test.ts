import { keepLast } from './keepLast';

/** Someone who is asked, and what has been asked of them. */
function asked<Answer>(answer: (question: string) => Answer) {
  const questions: string[] = [];
  const ask = async (question: string): Promise<Answer> => {
    questions.push(question);
    return answer(question);
  };
  return { ask, questions };
}

describe('keepLast', () => {
  it('asks an equal question once, and the one before last again', async () => {
    const questions: object[] = [];
    const keeping = keepLast(async (question: { readonly n: number }) => {
      questions.push(question);
      return question.n;
    });
    expect(await Promise.all([keeping({ n: 1 }), keeping({ n: 1 })])).toEqual([1, 1]);
    expect(await keeping({ n: 2 })).toBe(2);
    expect(await keeping({ n: 1 })).toBe(1);
    expect(questions).toEqual([{ n: 1 }, { n: 2 }, { n: 1 }]);
  });

  it('keeps no failure', async () => {
    let broken = true;
    const { ask, questions } = asked((question) => {
      if (broken) throw new Error('broken');
      return question;
    });
    const keeping = keepLast(ask);
    await expect(keeping('one')).rejects.toThrow('broken');
    broken = false;
    expect(await keeping('one')).toBe('one');
    expect(questions).toEqual(['one', 'one']);
  });

  it('keeps the parts of the last answer that the next one says too', async () => {
    const keeping = keepLast(asked((question) => [{ name: 'a' }, { name: question }] as const).ask);
    const [first, second] = await keeping('b');
    const next = await keeping('c');
    expect(next).toEqual([{ name: 'a' }, { name: 'c' }]);
    expect(next[0]).toBe(first);
    expect(next[1]).not.toBe(second);
  });

  it('leaves an answer as it is where it is told to', async () => {
    const keeping = keepLast(asked(() => [{ name: 'a' }]).ask, (_before, answer) => answer);
    const first = await keeping('b');
    expect((await keeping('c'))[0]).not.toBe(first[0]);
  });
});
