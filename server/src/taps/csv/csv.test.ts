import fc from 'fast-check';
import { asWritten, neutralised } from './formulas';
import { readTaps } from './readTaps';

const HEAD =
  'id,slot,function,supply_contact,year_from,year_to,trim,market,grade,fuse_a,wire_awg,note,logged_by,logged_at';
const ID = '01890a5d-ac96-774b-bcce-b302099a80';

function row(number: number, note = ''): string {
  const id = `${ID}${number.toString(16).padStart(2, '0')}`;
  return `${id},dash/F5,accessory,a,2020,2020,,,probed,2,18,"${note}",,`;
}

async function* bytes(...parts: (string | Uint8Array)[]): AsyncGenerator<Uint8Array> {
  for (const part of parts) yield typeof part === 'string' ? Buffer.from(part) : part;
}

function read(...lines: string[]): ReturnType<typeof readTaps> {
  return readTaps(bytes(lines.join('\r\n')));
}

async function pathsOf(...lines: string[]): Promise<string[]> {
  const result = await read(...lines);
  return result.ok ? [] : result.problems.map((one) => one.path);
}

describe('a text that a spreadsheet would run', () => {
  it.each(['=1+1', ' =1+1', '\n=1', '\t@x', '+1', '-1', "'=1", "''=1", '＝1'])(
    'is neutralised: %j',
    (text) => expect(neutralised(text)).toBe(`'${text}`),
  );

  it.each(['12 V', "'tis the blue one", 'a=1', '', "'", 'under the −'])(
    'is not what this is: %j',
    (text) => expect(neutralised(text)).toBe(text),
  );

  it('comes back as it was written, whatever it is', () => {
    const part = fc.constantFrom("'", '=', '+', '-', '@', ' ', '\n', '\t', 'a', '1');
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.array(part).map((parts) => parts.join('')),
        ),
        (text) => asWritten(neutralised(text)) === text,
      ),
      { numRuns: 500 },
    );
  });
});

describe('a file of tap points', () => {
  it('is read with a byte order mark, blank lines, a trailing empty column and both line ends', async () => {
    const result = await readTaps(
      bytes(`\uFEFF${HEAD},\r\n${row(1, 'ö')},\n\n${row(2)},\r\n,,,,,,,,,,,,,,\r\n`),
    );
    expect(result.ok && result.rows.map((one) => [one.number, one.row.note])).toEqual([
      [2, 'ö'],
      [4, ''],
    ]);
  });

  it('keeps an umlaut that is cut in two by the network', async () => {
    const whole = Buffer.from(`${HEAD}\r\n${row(1, 'Sicherungskästen')}`);
    const cut = whole.indexOf(0xc3) + 1;
    const result = await readTaps(bytes(whole.subarray(0, cut), whole.subarray(cut)));
    expect(result.ok && result.rows[0]?.row.note).toBe('Sicherungskästen');
  });

  it('is refused in Latin-1, with what to do about it', async () => {
    const result = await readTaps(bytes(Buffer.from(`${HEAD}\r\n${row(1, 'ö')}`, 'latin1')));
    expect(result).toMatchObject({ ok: false, problems: [{ path: 'file' }] });
    expect(!result.ok && result.problems[0]?.message).toMatch(/UTF-8/);
  });

  it('names rows as a spreadsheet counts them, blank ones too', async () => {
    expect(await pathsOf(HEAD, row(1), '', '', row(2).replace('accessory', 'magic'))).toEqual([
      'row 5, column function',
    ]);
    expect(await pathsOf(HEAD, '', row(1), row(1))).toEqual(['row 4, column id']);
    expect(await pathsOf(HEAD, `${row(1)},,x`)).toEqual(['row 2, column 16']);
  });

  it.each([
    ['', 'file'],
    ['id,slot', 'row 1'],
    [`${HEAD}\r\n${row(1)}\r\n"never closed`, 'row 3'],
    [`${HEAD}\r\n"x"y,2`, 'row 2'],
    [`${HEAD}\r\n"${'x'.repeat(30_000)}`, 'row 2'],
    [`${HEAD}\r\n${row(1, '\u0000')}`, 'row 2, column note'],
  ])('says where %.20j… is no such file', async (text, path) => {
    const result = await readTaps(bytes(text));
    expect(result.ok).toBe(false);
    expect(!result.ok && result.problems[0]?.path).toBe(path);
  });

  it('with a million bad rows is given up after the first fifty', async () => {
    let sent = 0;
    async function* endless(): AsyncGenerator<Uint8Array> {
      yield Buffer.from(`${HEAD}\r\n`);
      for (; sent < 1_000_000; sent += 100) yield Buffer.from('x,y,z\r\n'.repeat(100));
    }
    const result = await readTaps(endless());
    expect(!result.ok && result.problems).toHaveLength(50);
    expect(sent).toBeLessThan(50_000);
  });
});
