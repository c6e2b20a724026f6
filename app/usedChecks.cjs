/** Checks of texts that the contract's rules stand on; the web build leaves the others of the library out. */
module.exports = ['isLength', 'isUUID', 'matches'];
