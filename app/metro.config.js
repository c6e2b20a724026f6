const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
config.resolver.resolveRequest = (context, name, platform) => {
  // class-validator's ES modules do not load in Metro; its CommonJS build does.
  if (name === 'class-validator') name = 'class-validator/cjs/index.js';
  // Only @IsPhoneNumber wants it, and nothing here does.
  if (name === 'libphonenumber-js/max') return { type: 'empty' };
  return context.resolveRequest(context, name, platform);
};
// Tests lie beside the code and are no part of the app.
config.resolver.blockList = [/.*\.test\.tsx?$/];
module.exports = config;
