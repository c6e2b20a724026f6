import { EMPTY_DRAFT, jobRequest, spokenProblems } from './newJob';

function said(draft: Partial<typeof EMPTY_DRAFT>): string[] {
  const request = jobRequest({ ...EMPTY_DRAFT, ...draft });
  return request.ok ? [] : spokenProblems(request.problems);
}

it('asks for the vehicle first, once, and says nothing of its year before', () => {
  expect(said({})).toEqual(['choose the vehicle', 'choose the device']);
});

it('says what is wrong with the year and the wheel of a vehicle that is chosen', () => {
  const modelId = '01890a5d-ac96-774b-bcce-b302099a8057';
  const problems = said({ modelId, year: '1812' });
  expect(problems).toContain('say on which side the wheel is');
  expect(problems.join()).toMatch(/year/);
  expect(said({ modelId, year: '1812', steering: 'left' }).join()).not.toMatch(
    /choose the vehicle/,
  );
});
