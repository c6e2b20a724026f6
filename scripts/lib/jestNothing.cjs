/** Stands for a library that nothing calls. */
module.exports = {};
