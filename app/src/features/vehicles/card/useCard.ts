import type { CardGrid, CardLayout, Corners } from '@lucky-thread/core/card';
import { gridOf } from '@lucky-thread/core/card';
import type { FuseFamily } from '@lucky-thread/core/vehicle';
import { useCallback, useRef, useState } from 'react';
import type { StraightCard } from '../../../workers/card.worker';
import { askCard, askStraight } from '../../../workers/cards';
import type { CheckedCell } from './cardDraft';
import type { Picture } from './picture';
import { firstCorners, pictureFrom, release, shown } from './picture';

/** How far the way from a picture to a lid is gone. */
export type CardStep =
  | { readonly kind: 'none' }
  | { readonly kind: 'corners'; readonly picture: Picture; readonly corners: Corners }
  | (Straightened & { readonly kind: 'grid' })
  | (Straightened & { readonly kind: 'reading'; readonly done: number })
  | (Straightened & { readonly kind: 'review'; readonly cells: readonly CheckedCell[] });

interface Straightened {
  readonly picture: Picture;
  readonly corners: Corners;
  readonly straight: StraightCard;
  /** The straightened card, to be shown. */
  readonly url: string;
  readonly grid: CardGrid;
  readonly layout: CardLayout;
}

/** The way from a picture to a lid. */
export interface CardWay {
  /** Where on the way one is. */
  readonly step: CardStep;
  /** What is wrong, in words for people; undefined when nothing is. */
  readonly problem: string | undefined;
  /** Whether something is under way: no second one is begun meanwhile. */
  readonly busy: boolean;
  /** Takes a picture. */
  readonly choose: (file: File) => Promise<void>;
  /** Moves the card's corners. */
  readonly pull: (corners: Corners) => void;
  /** Makes the card upright and finds its lines. */
  readonly straighten: () => Promise<void>;
  /** Says how many rows and columns there are. */
  readonly count: (counts: { readonly rows: number; readonly columns: number }) => void;
  /** Says how the cells are arranged. */
  readonly lay: (layout: CardLayout) => void;
  /** Reads what the cells say. */
  readonly read: () => Promise<void>;
  /** Stops the reading; what was read stays. */
  readonly stop: () => void;
  /** Says what a cell says, by its place in the list. */
  readonly setCell: (at: number, cell: CheckedCell) => void;
  /** One step back. */
  readonly back: () => void;
  /** Gives it all up; typing goes on as before. */
  readonly leave: () => void;
}

interface Counts {
  readonly rows: number;
  readonly columns: number;
}

function countsOf({ rows, columns }: CardGrid): Counts {
  return { rows: rows.length - 1, columns: columns.length - 1 };
}

/** The grid for other counts or another layout: as guessed wherever that still fits. */
function regridded({ straight }: Straightened, counts: Counts, layout: CardLayout): CardGrid {
  return gridOf(straight.card, straight.grid, { ...counts, layout });
}

const NONE: CardStep = { kind: 'none' };

/** Leads from a picture to what its card says; whatever fails, the lid can still be typed. */
export function useCard(family: FuseFamily): CardWay {
  const [step, setStep] = useState<CardStep>(NONE);
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const cancel = useRef<() => void>(undefined);
  const held = useRef<readonly string[]>([]);
  const attempt = useCallback(async (work: () => Promise<void>): Promise<void> => {
    setProblem(undefined);
    setBusy(true);
    try {
      await work();
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    } finally {
      setBusy(false);
    }
  }, []);
  const leave = useCallback((): void => {
    cancel.current?.();
    cancel.current = undefined;
    held.current.forEach(release);
    held.current = [];
    setStep(NONE);
  }, []);
  const read = (): Promise<void> =>
    attempt(async () => {
      if (step.kind !== 'grid') return;
      const { straight, grid, layout } = step;
      setStep({ ...step, kind: 'reading', done: 0 });
      const work = askCard(straight.card, grid, { family, layout, met: [] }, (done) =>
        setStep((now) => (isCurrent() && now.kind === 'reading' ? { ...now, done } : now)),
      );
      cancel.current = work.cancel;
      // One that was stopped may end while another is under way.
      const isCurrent = (): boolean => cancel.current === work.cancel;
      try {
        const cells = await work.result;
        setStep((now) =>
          now.kind !== 'reading' || !isCurrent()
            ? now
            : cells === undefined
              ? { ...now, kind: 'grid' }
              : { ...now, kind: 'review', cells: cells.map((cell) => ({ cell, seen: false })) },
        );
      } catch (error) {
        if (!isCurrent()) return;
        setStep((now) => (now.kind === 'reading' ? { ...now, kind: 'grid' } : now));
        throw error;
      }
    });
  return {
    step,
    problem,
    busy,
    choose: (file) =>
      attempt(async () => {
        const picture = await pictureFrom(file);
        held.current = [...held.current, picture.url];
        setStep({ kind: 'corners', picture, corners: firstCorners(picture.gray) });
      }),
    pull: (corners) => {
      if (step.kind === 'corners') setStep({ ...step, corners });
    },
    straighten: () =>
      attempt(async () => {
        if (step.kind !== 'corners') return;
        const straight = await askStraight(step.picture.gray, step.corners);
        const url = await shown(straight.card);
        held.current = [...held.current, url];
        const { grid, layout } = straight;
        setStep({ ...step, kind: 'grid', straight, url, grid, layout });
      }),
    count: (counts) => {
      if (step.kind === 'grid') setStep({ ...step, grid: regridded(step, counts, step.layout) });
    },
    lay: (layout) => {
      if (step.kind === 'grid')
        setStep({ ...step, layout, grid: regridded(step, countsOf(step.grid), layout) });
    },
    read,
    stop: () => {
      cancel.current?.();
      cancel.current = undefined;
      setStep((now) => (now.kind === 'reading' ? { ...now, kind: 'grid' } : now));
    },
    setCell: (at, cell) => {
      if (step.kind === 'review')
        setStep({ ...step, cells: step.cells.map((one, index) => (index === at ? cell : one)) });
    },
    back: () => {
      if (step.kind === 'grid') setStep({ ...step, kind: 'corners' });
    },
    leave,
  };
}
