import type { Random } from './random';
import { FIELD_NAMES, oddValue } from './values';

/** A copy of a plain value with one or a few things about it wrong. */
export function mutated(value: unknown, random: Random): unknown {
  let result: unknown = structuredClone(value);
  const changes = random.pick([1, 1, 1, 2, 3]);
  for (let change = 0; change < changes; change += 1) result = changed(result, random);
  return result;
}

function changed(root: unknown, random: Random): unknown {
  const places = placesIn(root);
  if (places.length === 0 || random.chance(0.02)) return oddValue(random);
  const { holder, key } = random.pick(places);
  switch (random.below(6)) {
    case 0:
      Reflect.deleteProperty(holder, key);
      break;
    case 1:
      set(holder, random.pick(FIELD_NAMES), oddValue(random));
      break;
    case 2:
      set(holder, key, [holder[key]]);
      break;
    case 3: {
      const other = random.pick(places);
      set(holder, key, structuredClone(other.holder[other.key]));
      break;
    }
    default:
      set(holder, key, oddValue(random));
  }
  return root;
}

/** `__proto__` too becomes a field of its own, as it does in JSON. */
function set(holder: Record<string, unknown>, key: string, value: unknown): void {
  // A list has entries alone; its length is no field.
  if (Array.isArray(holder) && !/^\d+$/.test(key)) return;
  Object.defineProperty(holder, key, {
    value,
    enumerable: true,
    configurable: true,
    writable: true,
  });
}

interface PlaceIn {
  readonly holder: Record<string, unknown>;
  readonly key: string;
}

/** Deep values need no more places than this to be spoilt. */
const MOST_PLACES = 300;

function placesIn(root: unknown): PlaceIn[] {
  const places: PlaceIn[] = [];
  const left = [root];
  while (left.length > 0 && places.length < MOST_PLACES) {
    const holder = left.pop();
    if (typeof holder !== 'object' || holder === null) continue;
    for (const key of Object.keys(holder)) {
      places.push({ holder: holder as Record<string, unknown>, key });
      left.push((holder as Record<string, unknown>)[key]);
    }
  }
  return places;
}

/** A value as JSON text that may itself be broken: cut short, with odd bytes, or nested beyond any stack. */
export function textOf(value: unknown, random: Random): string | Uint8Array {
  const text = JSON.stringify(value) ?? '';
  if (random.chance(0.9)) return text;
  switch (random.below(5)) {
    case 0:
      return text.slice(0, random.below(text.length + 1));
    case 1:
      return `${'['.repeat(100_000)}${']'.repeat(100_000)}`;
    case 2:
      return `${'{"a":'.repeat(30_000)}1${'}'.repeat(30_000)}`;
    case 3: {
      const bytes = new TextEncoder().encode(text);
      const at = random.below(bytes.length + 1);
      return new Uint8Array([...bytes.slice(0, at), 0xff, 0xc0, ...bytes.slice(at)]);
    }
    default:
      return 'x'.repeat(random.pick([0, 1, 300_000]));
  }
}
