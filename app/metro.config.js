const { getDefaultConfig } = require('expo/metro-config');

const used = require('./usedChecks.cjs');
const USED_CHECKS = new Set(used.checks);
const USED_RULES = new Set(used.rules);
/** Where the library names all of its rules. */
const ALL_RULES = /class-validator[\\/]cjs[\\/]decorator[\\/]decorators\.js$/;

const config = getDefaultConfig(__dirname);
config.resolver.resolveRequest = (context, name, platform) => {
  // class-validator's ES modules do not load in Metro; its CommonJS build does.
  if (name === 'class-validator') name = 'class-validator/cjs/index.js';
  // Only @IsPhoneNumber wants it, and nothing here does.
  if (name === 'libphonenumber-js/max') return { type: 'empty' };
  // class-validator brings a hundred rules and as many checks of texts; the contract uses a handful of them.
  const rule = /^\.\/\w+\/(\w+)$/.exec(name);
  if (rule !== null && ALL_RULES.test(context.originModulePath) && !USED_RULES.has(rule[1]))
    return { type: 'empty' };
  const check = /^validator(?:\/lib\/(\w+))?$/.exec(name);
  if (check !== null && !USED_CHECKS.has(check[1])) return { type: 'empty' };
  return context.resolveRequest(context, name, platform);
};
// Tests lie beside the code and are no part of the app.
config.resolver.blockList = [/.*\.test\.tsx?$/];
config.transformer.minifierPath = require.resolve('./minifier.cjs');
config.transformer.babelTransformerPath = require.resolve('./transformer.cjs');
config.transformer.unstable_disableNormalizePseudoGlobals = true;
// During development the API runs on a port of its own; the app asks the same origin for it, as in production.
if (process.env.API_PORT !== undefined) {
  const http = require('node:http');
  config.server.enhanceMiddleware = (metro) => (request, response, next) => {
    if (!request.url.startsWith('/api/')) return metro(request, response, next);
    const { url: path, method, headers } = request;
    const options = { host: '127.0.0.1', port: process.env.API_PORT, path, method, headers };
    const forwarded = http.request(options, (answer) => {
      response.writeHead(answer.statusCode, answer.headers);
      answer.pipe(response);
    });
    forwarded.on('error', () => response.writeHead(502).end());
    return request.pipe(forwarded);
  };
}
module.exports = config;
