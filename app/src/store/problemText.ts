import type { ProblemDocument } from '@lucky-thread/contract';

/** What went wrong, in words for the installer. */
export function problemText(error: unknown): string {
  const document = problemOf(error);
  if (document !== undefined) return document.detail ?? document.title;
  return 'The server does not answer. Try again in a moment.';
}

/** The problem document behind a failed request; undefined when the server never answered. */
export function problemOf(error: unknown): ProblemDocument | undefined {
  if (typeof error !== 'object' || error === null || !('data' in error)) return undefined;
  const { data } = error;
  if (typeof data === 'object' && data !== null && 'title' in data) return data as ProblemDocument;
  // A plain fetch of problem+json arrives as text.
  if (typeof data !== 'string') return undefined;
  try {
    return JSON.parse(data) as ProblemDocument;
  } catch {
    return undefined;
  }
}
