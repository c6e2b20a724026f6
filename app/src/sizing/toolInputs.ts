/** Inputs of a tool as they stand in the URL: numbers in SI units, words as they are. */
export type ToolInputs = Readonly<Record<string, string | number | boolean>>;

/** Inputs with every value as the defaults have it: numbers may also be undefined (left empty) or NaN (no number). */
export type Inputs<T extends ToolInputs> = {
  readonly [Key in keyof T]: T[Key] extends number
    ? number | undefined
    : T[Key] extends boolean
      ? boolean
      : T[Key];
};

/** Search parameters of a URL as the router gives them. */
export type SearchParams = Readonly<Record<string, string | string[] | undefined>>;

/** Reads a tool's inputs from a URL; what is missing there stands as by default. */
export function inputsFrom<T extends ToolInputs>(defaults: T, params: SearchParams): Inputs<T> {
  const read = Object.entries(defaults).map(([key, fallback]) => {
    const found = params[key];
    const text = Array.isArray(found) ? found[0] : found;
    return [key, text === undefined ? fallback : valueOf(text, fallback)];
  });
  return Object.fromEntries(read) as Inputs<T>;
}

function valueOf(text: string, fallback: string | number | boolean): unknown {
  if (typeof fallback === 'number') return text === '' ? undefined : Number(text);
  if (typeof fallback === 'boolean') return text === 'true';
  return text;
}

/** What stands in the URL for some inputs: nothing for what is as by default. */
export function paramsFor<T extends ToolInputs>(
  defaults: T,
  inputs: Partial<Inputs<T>>,
): Record<string, string | undefined> {
  return Object.fromEntries(
    Object.entries(inputs).map(([key, value]) => [
      key,
      Object.is(value, defaults[key]) ? undefined : value === undefined ? '' : String(value),
    ]),
  );
}
