/** How long a switched lead stays live after the key, and what it costs. */
export interface DropOff {
  readonly good: boolean;
  readonly text: string;
}

/** A contact or a relay lets go within this, s. Common practice. */
const AT_ONCE_S = 3;
/** Retained power and module timers let go within this, s; the car sleeps by then. Common practice: up to 45 min, mostly 10 to 30. */
const RETAINED_S = 45 * 60;

/**
 * What a measured drop-off time says of a switched lead: a contact, retained power with what it takes from the battery each time, or a
 * circuit that never lets go.
 *
 * @param seconds from key off to dead
 * @param currentA what the device draws meanwhile, A
 * @example dropOff(1, 0.6).text // 'Dead at once: a contact behind the key.'
 */
export function dropOff(seconds: number, currentA: number): DropOff {
  if (seconds <= AT_ONCE_S) return { good: true, text: 'Dead at once: a contact behind the key.' };
  const takes = `${Math.max(1, Math.round((1000 * currentA * seconds) / 3600))} mAh each time`;
  if (seconds <= RETAINED_S)
    return {
      good: true,
      text: `Dead after ${timeOf(seconds)}: retained, or a module’s timer. It takes ${takes}; tell whoever drives it that it stays on.`,
    };
  return {
    good: false,
    text: `Still live after ${timeOf(seconds)}: that is no switched supply, or it keeps the car awake. Read the source again, asleep.`,
  };
}

function timeOf(seconds: number): string {
  return seconds < 100 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`;
}
