/** Jest transform for the server: TypeScript and decorators through esbuild, with `import.meta.url` from the file name. */
const { transformSync } = require('esbuild');

module.exports = {
  process(source, filename) {
    const result = transformSync(source, {
      loader: filename.endsWith('x') ? 'tsx' : 'ts',
      format: 'cjs',
      target: 'es2022',
      // Jest’s modules know no import() of Node’s own.
      supported: { 'dynamic-import': false },
      sourcemap: 'inline',
      sourcefile: filename,
      define: { 'import.meta.url': '__importMetaUrl' },
      tsconfigRaw: {
        compilerOptions: { experimentalDecorators: true, useDefineForClassFields: false },
      },
      banner: 'const __importMetaUrl = require("node:url").pathToFileURL(__filename).href;',
    });
    return { code: result.code };
  },
};
