const { parse } = require('@babel/parser');
const { transformFromAstSync, types } = require('@babel/core');
const expo = require('@expo/metro-config/babel-transformer');
const { transformSync } = require('@swc/core');
const { locToKey } = require('@expo/metro/metro/ModuleGraph/worker/importLocationsPlugin');

const IN_A_LIBRARY = /[\\/]node_modules[\\/]/;
/** What Expo's preset does more with than to look at it: worklets, its own variables, what lies in a folder. */
const FOR_EXPO = /import\.meta|['"]worklet['"]|EXPO_|require\.context|['"]use dom['"]/;
/** What is written for every platform. */
const EVERY_PLATFORM = /['"]react-native['"]|\bPlatform\b/;

/** Bundles as their makers ship them: all that they need is in them. */
const WHOLE = /[\\/](?:elk\.bundled|pdfmake\.min)\.js$/;

/** What a production build never runs goes out; without it both variants of React would be in it. */
const PLAIN = {
  ...{ configFile: false, swcrc: false, isModule: 'unknown', sourceMaps: false },
  jsc: {
    target: 'es2022',
    transform: {
      optimizer: {
        globals: { envs: { NODE_ENV: '"production"' }, vars: { __DEV__: 'false' } },
        simplify: true,
      },
      react: { runtime: 'automatic' },
      useDefineForClassFields: false,
    },
  },
};

/** Of Expo's preset, what brings a file for every platform down to the web. */
const FOR_THE_WEB = {
  ...{ configFile: false, babelrc: false, code: false, ast: true },
  plugins: [
    [require('babel-preset-expo/build/plugins/define-plugin'), { 'Platform.OS': 'web' }],
    [require('babel-preset-expo/build/plugins/minify-platform-select-plugin'), { platform: 'web' }],
    require('babel-plugin-react-native-web'),
  ],
};

/**
 * Hands our own sources and the plain code of libraries to swc, and the rest to Expo's own transformer: Babel walks a file for
 * each of its plugins, and most of the build's time went there.
 */
function transform(given) {
  const { filename, src, options } = given;
  if (options.dev) return expo.transform(given);
  if (WHOLE.test(filename)) return { ast: asItIs(src), metadata: {} };
  const parser = syntaxOf(filename);
  const plain = parser === undefined || FOR_EXPO.test(src) ? undefined : plainly(given, parser);
  if (plain === undefined) return expo.transform(given);
  const parsed = parse(plain, { sourceType: 'unambiguous' });
  const imports = importsOf(parsed);
  const ast = EVERY_PLATFORM.test(plain)
    ? transformFromAstSync(parsed, plain, { ...FOR_THE_WEB, filename }).ast
    : parsed;
  return { ast, metadata: { metro: { unstable_importDeclarationLocs: imports } } };
}

function syntaxOf(filename) {
  const library = IN_A_LIBRARY.test(filename);
  if (library) return /\.[cm]?js$/.test(filename) ? { syntax: 'ecmascript' } : undefined;
  const tsx = filename.endsWith('.tsx');
  return tsx || filename.endsWith('.ts')
    ? { syntax: 'typescript', tsx, decorators: true }
    : undefined;
}

/** Without types and what is never run; undefined where a library has not been built and holds what is no JavaScript. */
function plainly({ src, filename }, parser) {
  try {
    return transformSync(src, { ...PLAIN, jsc: { ...PLAIN.jsc, parser }, filename }).code;
  } catch (error) {
    if (parser.syntax === 'ecmascript') return undefined;
    throw error;
  }
}

/** Where the file imports: a library that comes in two kinds is to give that of the language's own modules there. */
function importsOf(ast) {
  return new Set(ast.program.body.filter((one) => one.source).map((one) => locToKey(one.loc)));
}

/**
 * A text that is to be printed as it is, for Babel a single number: it would look at each of a million signs many times over. The
 * end of the line is for one that ends with a remark.
 */
function asItIs(src) {
  const whole = { ...types.numericLiteral(0), extra: { raw: `${src}\n`, rawValue: 0 } };
  return types.file(types.program([types.expressionStatement(whole)]));
}

module.exports = { ...expo, transform };
