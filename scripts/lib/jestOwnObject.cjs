/**
 * Jest transform for libraries that ask `Object` something at every turn: a test's global variables are looked up in its sandbox
 * each time, which costs more than the question. The module gets the same `Object` as a variable of its own.
 */
module.exports = {
  process: (source) => ({ code: `const Object = globalThis.Object;${source}` }),
};
