declare module 'munkres-js' {
  /** Pairs of row and column with the least total cost. */
  export default function munkres(costs: number[][]): [number, number][];
}
