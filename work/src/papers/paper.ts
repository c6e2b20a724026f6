/** What a paper is made of, whoever prints it. */
export type PaperBlock =
  | { readonly is: 'heading'; readonly text: string }
  | { readonly is: 'text'; readonly text: string }
  | { readonly is: 'caution'; readonly text: string }
  /** Numbered steps, each with what can hurt in it. */
  | {
      readonly is: 'steps';
      readonly steps: readonly { readonly text: string; readonly cautions: readonly string[] }[];
    }
  | {
      readonly is: 'table';
      readonly head: readonly string[];
      readonly rows: readonly (readonly string[])[];
    }
  /** A drawing of its own, as an SVG document. */
  | { readonly is: 'drawing'; readonly svg: string }
  /** Stickers: what is written on each, and what its square code says. */
  | {
      readonly is: 'labels';
      readonly labels: readonly { readonly text: string; readonly code: string }[];
    };

/** A paper to print or to hand over. */
export interface Paper {
  /** First line. */
  readonly title: string;
  /** Of which car and job it is. */
  readonly subtitle: string;
  /** Its parts, from the top. */
  readonly blocks: readonly PaperBlock[];
}

/** Papers of a job. */
export const PAPER_KINDS = ['job', 'owner', 'restore', 'labels', 'taps'] as const;
/** One of them: the installer’s sheet, the owner’s, how it is undone, stickers, and what the model’s log knows. */
export type PaperKind = (typeof PAPER_KINDS)[number];
