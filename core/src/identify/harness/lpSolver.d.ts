declare module 'javascript-lp-solver' {
  const solver: {
    /** Optimum of a linear programme; `result` is the value of what was optimised. */
    Solve(model: object): { readonly result: number; readonly feasible: boolean };
  };
  export default solver;
}
