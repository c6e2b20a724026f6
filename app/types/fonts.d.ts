declare module '*.ttf' {
  const source: number;
  export default source;
}
