import pg from 'pg';

/** The statements that a request sends to the database; what the driver itself asks for is none. */
export async function statementsOf(request: () => Promise<unknown>): Promise<string[]> {
  const sent: string[] = [];
  const original = pg.Client.prototype.query;
  const spy = jest.spyOn(pg.Client.prototype, 'query').mockImplementation(function (
    this: pg.Client,
    ...args: unknown[]
  ) {
    const [first] = args as [string | { text: string }];
    sent.push(typeof first === 'string' ? first : first.text);
    return Reflect.apply(original, this, args) as never;
  });
  await request();
  spy.mockRestore();
  return sent;
}
