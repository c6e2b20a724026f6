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

/** Rules whose faults are never more than moderate: looking for them would take a fifth of the time, and nobody would be told. */
const NEVER_SERIOUS = [
  'aria-allowed-role',
  'heading-order',
  'landmark-banner-is-top-level',
  'landmark-complementary-is-top-level',
  'landmark-contentinfo-is-top-level',
  'landmark-main-is-top-level',
  'landmark-no-duplicate-banner',
  'landmark-no-duplicate-contentinfo',
  'landmark-no-duplicate-main',
  'landmark-one-main',
  'landmark-unique',
  'page-has-heading-one',
  'region',
];
const RULES = Object.fromEntries(NEVER_SERIOUS.map((rule) => [rule, { enabled: false }]));

/** The serious and critical faults of the page as it stands (axe-core's rules). */
export async function seriousFaults(visitor: Visitor): Promise<Fault[]> {
  if (!(await visitor.driver.executeScript<boolean>('return "axe" in window')))
    await visitor.driver.executeScript(SOURCE);
  const result = await visitor.driver.executeAsyncScript<AxeResult>(
    // What is fetched beforehand only an experimental rule wants, which is not on.
    'const done = arguments[arguments.length - 1]; axe.run(document, { resultTypes: ["violations"], preload: false, rules: arguments[0] }).then(done)',
    RULES,
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
