import isEqual from 'fast-deep-equal';

/**
 * Asks the same question once: an equal question gets the answer, or the promise of it, that the last one got. Screens
 * that come and go over one session share its answer that way. A failure is not kept.
 */
export function keepLast<Question, Answer>(
  ask: (question: Question) => Promise<Answer>,
): (question: Question) => Promise<Answer> {
  let last: { readonly question: Question; readonly answer: Promise<Answer> } | undefined;
  return (question) => {
    if (last !== undefined && isEqual(last.question, question)) return last.answer;
    const answer = ask(question);
    const mine = { question, answer };
    last = mine;
    answer.catch(() => {
      if (last === mine) last = undefined;
    });
    return answer;
  };
}
