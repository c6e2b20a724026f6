/**
 * Jest transform for the source that React Native and Expo ship with its types (Flow and TypeScript): takes them out in a small part
 * of Babel's time.
 */
const { createHash } = require('node:crypto');
const { transformSync } = require('@swc/core');
const { version } = require('@swc/core/package.json');

const FLOW = { syntax: 'flow', jsx: true, components: true };
const OPTIONS = {
  ...{ swcrc: false, configFile: false, sourceMaps: true, module: { type: 'commonjs' } },
  jsc: { target: 'es2022', transform: { react: { runtime: 'automatic' } } },
};

module.exports = {
  getCacheKey: (source, filename) =>
    createHash('sha256')
      .update(JSON.stringify([version, FLOW, OPTIONS, filename, source]))
      .digest('hex'),
  process(source, filename) {
    const typed = /\.tsx?$/.test(filename);
    const parser = typed ? { syntax: 'typescript', tsx: filename.endsWith('x') } : FLOW;
    return transformSync(source, { ...OPTIONS, jsc: { ...OPTIONS.jsc, parser }, filename });
  },
};
