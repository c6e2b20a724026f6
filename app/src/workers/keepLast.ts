import { copyWithStructuralSharing } from '@reduxjs/toolkit/query';
import isEqual from 'fast-deep-equal';

/**
 * Asks the same question once: an equal question gets the answer, or the promise of it, that the last one got. Screens
 * that come and go over one session share its answer that way. A failure is not kept.
 *
 * @param sharing what an answer says as the one before it did stays the same object, so that rows which have not changed are not
 * drawn anew; left out: part by part
 */
export function keepLast<Question, Answer>(
  ask: (question: Question) => Promise<Answer>,
  sharing: (before: Answer, answer: Answer) => Answer = copyWithStructuralSharing,
): (question: Question) => Promise<Answer> {
  let last: { readonly question: Question; readonly answer: Promise<Answer> } | undefined;
  let before: { readonly answer: Answer } | undefined;
  const asked = async (question: Question): Promise<Answer> => {
    const fresh = await ask(question);
    const answer = before === undefined ? fresh : sharing(before.answer, fresh);
    before = { answer };
    return answer;
  };
  return (question) => {
    if (last !== undefined && isEqual(last.question, question)) return last.answer;
    const answer = asked(question);
    const mine = { question, answer };
    last = mine;
    answer.catch(() => {
      if (last === mine) last = undefined;
    });
    return answer;
  };
}
