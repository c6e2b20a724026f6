import fc from 'fast-check';
import { typedPoints, writtenPoints } from './typedPoints';

describe('studs as they are typed', () => {
  it('have names and threads; what has no name counts on', () => {
    expect(typedPoints('G1 M6, M8\nG7, m 10', 'P1')).toEqual({
      points: [
        { name: 'G1', threadMm: 6 },
        { name: 'G2', threadMm: 8 },
        { name: 'G7' },
        { name: 'G8', threadMm: 10 },
      ],
      problems: [],
    });
    expect(typedPoints('M8', 'P1').points).toEqual([{ name: 'P1', threadMm: 8 }]);
  });

  it('say what is no stud, and which is there twice', () => {
    const { points, problems } = typedPoints('G/1, G2 6, G3, G3', 'P1');
    expect(points).toEqual([{ name: 'G3' }]);
    expect(problems.map(({ cell }) => cell)).toEqual([1, 2, 4]);
    expect(typedPoints('', 'P1')).toEqual({ points: [], problems: [] });
  });

  it('read again as they are written are the same', () => {
    const point = fc.record(
      {
        name: fc.stringMatching(/^[A-Za-z0-9._-]{1,6}$/).filter((name) => !/^m\d/i.test(name)),
        threadMm: fc.constantFrom(4, 5, 6, 8, 10, 12.5),
      },
      { requiredKeys: ['name'] },
    );
    fc.assert(
      fc.property(fc.uniqueArray(point, { selector: ({ name }) => name }), (points) => {
        expect(typedPoints(writtenPoints(points), 'P1').points).toEqual(points);
      }),
    );
  });
});
