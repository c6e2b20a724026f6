import { readFileSync } from 'node:fs';
import type { Visitor } from './browser';

const SOURCE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

/** One fault of accessibility. */
export interface Fault {
  readonly rule: string;
  readonly impact: string;
  readonly where: string;
}

interface AxeResult {
  readonly violations: readonly {
    readonly id: string;
    readonly impact: string | null;
    readonly nodes: readonly { readonly html: string }[];
  }[];
}

/** The serious and critical faults of the page as it stands (axe-core's rules). */
export async function seriousFaults(visitor: Visitor): Promise<Fault[]> {
  if (!(await visitor.driver.executeScript<boolean>('return "axe" in window')))
    await visitor.driver.executeScript(SOURCE);
  const result = await visitor.driver.executeAsyncScript<AxeResult>(
    // What is fetched beforehand only an experimental rule wants, which is not on.
    'const done = arguments[arguments.length - 1]; axe.run(document, { resultTypes: ["violations"], preload: false }).then(done)',
  );
  return result.violations
    .filter((one) => one.impact === 'serious' || one.impact === 'critical')
    .flatMap((one) =>
      one.nodes.map((node) => ({
        rule: one.id,
        impact: one.impact ?? '',
        where: node.html.slice(0, 200),
      })),
    );
}
