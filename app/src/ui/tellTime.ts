/** What a browser has for telling something while its page is out of sight; undefined where it has nothing of the kind. */
function notifications(): typeof Notification | undefined {
  return typeof Notification === 'undefined' ? undefined : Notification;
}

/** Asks once whether the phone may tell when a timer is over; never again once somebody has answered. */
export async function askToTell(): Promise<void> {
  const kind = notifications();
  if (kind?.permission === 'default') await kind.requestPermission();
}

/** Tells that a time is over, where the page is out of sight and the phone was allowed to; on the screen it stands anyway. */
export function tellTime(text: string): void {
  const kind = notifications();
  if (kind?.permission !== 'granted' || document.visibilityState === 'visible') return;
  try {
    new kind('Lucky Thread', { body: text, tag: 'timer' });
  } catch (error) {
    // Some phones only let a service worker tell: then it buzzes and stands on the screen.
    if (!(error instanceof TypeError)) throw error;
  }
}
