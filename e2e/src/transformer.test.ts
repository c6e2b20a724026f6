import { execFileSync } from 'node:child_process';
import path from 'node:path';

const APP = path.resolve(__dirname, '../../app');

interface Made {
  readonly code: string;
  /** Where it imports, as the build asks for it; none where Expo's own transformer was asked. */
  readonly imports: readonly string[];
}

/** What the web build makes of some files, by a process of its own: Babel does not load in Jest's sandbox. */
function madeOf(files: readonly { readonly filename: string; readonly src: string }[]): Made[] {
  const program = `
    const { generate } = require('@babel/generator');
    const { transform } = require('./transformer.cjs');
    const options = { dev: false, minify: true, platform: 'web', projectRoot: ${JSON.stringify(APP)}, customTransformOptions: {}, experimentalImportSupport: true };
    console.log(JSON.stringify(${JSON.stringify(files)}.map(({ filename, src }) => {
      const { ast, metadata } = transform({ filename, src, options, plugins: [] });
      return { code: generate(ast, { comments: false, compact: true }).code, imports: [...(metadata?.metro?.unstable_importDeclarationLocs ?? [])] };
    })));`;
  const printed = execFileSync(process.execPath, ['-e', program], { cwd: APP });
  return JSON.parse(printed.toString()) as Made[];
}

const LIBRARY = '../node_modules/some-library/index.js';
const VARIANTS = `if (process.env.NODE_ENV === 'production') module.exports = require('./small'); else module.exports = require('./large');`;
const IMPORTS = `import one from './one';\nexport { two } from './two';\nexport const three = one;`;
const WHOLE = `!function(){if("a"<"b")return  1/* as it is */}() // the end`;
const VIEW = `import { View } from 'react-native'; export const x = View;`;
const ELEMENT = `export const x = () => <a href="y">z</a>;`;
const TYPED = `export const half = (x: number): number => x / 2;`;
const PLATFORM = `import { Platform } from 'react-native'; export const x = Platform.OS === 'web' ? 'here' : 'there'; export const y = Platform.select({ web: 'by web', ios: 'by ios' });`;
const OTHERS = `import Platform from './Platform'; export const x = Platform.OS === 'ios' ? 'there' : 'here';`;
const SCREEN = `import type { ReactNode } from 'react'; import { Text } from 'react-native'; export function Screen({ of }: { readonly of: string }): ReactNode { return <Text>{of}</Text>; }`;
const CHECKED = `import { IsInt } from 'class-validator'; export class Tap { @IsInt() readonly amperes!: number; readonly unit: string = 'A'; }`;
const ADDRESS = `export const worker = new URL('./worker.ts', import.meta.url);`;

describe('the web build', () => {
  const made = new Map<string, Made>();
  beforeAll(() => {
    const files = [
      { filename: LIBRARY, src: VARIANTS },
      { filename: LIBRARY, src: IMPORTS },
      { filename: '../node_modules/elkjs/lib/elk.bundled.js', src: WHOLE },
      { filename: LIBRARY, src: VIEW },
      { filename: LIBRARY, src: ELEMENT },
      { filename: '../core/src/some.ts', src: TYPED },
      { filename: LIBRARY, src: PLATFORM },
      { filename: LIBRARY, src: OTHERS },
      { filename: 'src/features/screen.tsx', src: SCREEN },
      { filename: '../contract/src/tap.ts', src: CHECKED },
      { filename: 'src/workers/some.ts', src: ADDRESS },
    ];
    for (const [at, one] of madeOf(files).entries()) made.set(files[at]?.src ?? '', one);
  });
  const of = (src: string): Made => made.get(src) ?? { code: '', imports: [] };

  it('leaves out the variant of a library that is not for production', () => {
    expect(of(VARIANTS).code).toMatch(/require\(['"]\.\/small['"]\)/);
    expect(of(VARIANTS).code).not.toContain('large');
  });

  it('says where a library imports, whichever way: there it gets modules of the language’s own kind', () => {
    expect(of(IMPORTS).imports).toHaveLength(2);
  });

  it('passes a bundle on as its makers wrote it', () => {
    expect(of(WHOLE).code).toBe(`${WHOLE}\n;`);
  });

  it('leaves to Expo what is no plain JavaScript, and addresses', () => {
    expect(of(ELEMENT).code).toMatch(/jsx\(['"]a['"]/);
    expect(of(ADDRESS).code).not.toMatch(/import\.meta/);
  });

  it('brings what is written for every platform down to the web', () => {
    expect(of(VIEW).code).toMatch(/react-native-web\/dist\/exports\/View/);
    expect(of(PLATFORM).code).toMatch(/['"]by web['"]/);
    expect(of(PLATFORM).code).not.toMatch(/by ios|Platform\.OS/);
    expect(of(OTHERS).code).not.toMatch(/Platform\.OS/);
  });

  it('reads our own screens, and the checks that the contract hangs on its fields', () => {
    expect(of(SCREEN).code).toMatch(/react-native-web\/dist\/exports\/Text/);
    expect(of(SCREEN).code).toMatch(/jsx\(Text,/);
    // The library’s decorators are of the kind that gets the prototype.
    expect(of(CHECKED).code).toMatch(/IsInt\(\)\],\s*Tap\.prototype/);
    // A field that is only declared must not be there: what fills an object from a body would find it undefined.
    expect(of(CHECKED).code).not.toMatch(/amperes(?!['"])/);
  });

  it('takes the types out of our own logic', () => {
    expect(of(TYPED).code).toMatch(/x\s*=>\s*x\s*\/\s*2|\(x\)\s*=>\s*x\s*\/\s*2/);
    expect(of(TYPED).code).not.toContain('number');
  });
});
