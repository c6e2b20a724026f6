const { transformSync } = require('esbuild');
const terser = require('metro-minify-terser');

/** From so many characters on a module is a whole library, which takes terser up to a minute. */
const LIBRARY = 100_000;
const SHORT = { minify: true, charset: 'ascii', legalComments: 'none', target: 'es2022' };

/**
 * Shortens a module. esbuild is as short as terser in a hundredth of the time, but names the parameters of Metro's wrapper otherwise in
 * each module: where modules are small and many that would make the first load a twelfth larger on the wire.
 */
module.exports = (module) =>
  module.code.length < LIBRARY
    ? terser(module)
    : { code: transformSync(module.code, SHORT).code, map: module.map };
