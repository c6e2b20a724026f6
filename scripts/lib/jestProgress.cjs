/** A line each time another sixth of the test files is through, and at every file that failed. */
module.exports = class JestProgress {
  onRunStart(results) {
    this.total = results.numTotalTestSuites;
    this.done = 0;
  }

  onTestResult(test, result) {
    this.done += 1;
    const sixth = (done) => Math.floor((done * 6) / this.total);
    if (sixth(this.done) > sixth(this.done - 1))
      process.stderr.write(`… ${this.done} of ${this.total} files\n`);
    if (result.numFailingTests > 0 || result.testExecError)
      process.stderr.write(`… failed: ${test.path}\n`);
    for (const entry of result.console ?? [])
      if (/\d+ cars, /.test(entry.message)) process.stderr.write(`${entry.message}\n`);
  }
};
