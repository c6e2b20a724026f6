const { parse } = require('@babel/parser');
const { types } = require('@babel/core');
const expo = require('@expo/metro-config/babel-transformer');
const { transformSync } = require('@swc/core');
const { locToKey } = require('@expo/metro/metro/ModuleGraph/worker/importLocationsPlugin');

const IN_A_LIBRARY = /[\\/]node_modules[\\/].+\.[cm]?js$/;
/** Neither screens nor decorators. */
const OUR_LOGIC = /(?<![\\/]node_modules[\\/].*)[\\/](?:core|work)[\\/]src[\\/].+\.ts$/;
/** What Expo's preset does more with than to look at it: imports that it splits up, worklets, its own variables. */
const FOR_EXPO = /['"]react-native['"/]|worklet|EXPO_|require\.context|use dom/;

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
    },
  },
};

/**
 * Hands the plain code of libraries and of our own logic to swc, and the rest to Expo's own transformer: Babel walks a file for
 * each of its plugins, and most of the build's time went there.
 */
function transform(given) {
  const { filename, src, options } = given;
  if (options.dev) return expo.transform(given);
  if (WHOLE.test(filename)) return { ast: asItIs(src), metadata: {} };
  const syntax = syntaxOf(filename);
  const plain = syntax === undefined || FOR_EXPO.test(src) ? undefined : plainly(given, syntax);
  if (plain === undefined) return expo.transform(given);
  const ast = parse(plain, { sourceType: 'unambiguous' });
  return { ast, metadata: { metro: { unstable_importDeclarationLocs: importsOf(ast) } } };
}

function syntaxOf(filename) {
  if (OUR_LOGIC.test(filename)) return 'typescript';
  return IN_A_LIBRARY.test(filename) ? 'ecmascript' : undefined;
}

/** Without types and what is never run; undefined where a library has not been built and holds what is no JavaScript. */
function plainly({ src, filename }, syntax) {
  try {
    return transformSync(src, { ...PLAIN, jsc: { ...PLAIN.jsc, parser: { syntax } }, filename })
      .code;
  } catch (error) {
    if (syntax === 'ecmascript') return undefined;
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
