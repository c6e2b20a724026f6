/** A diagram that is laid out, drawn: without the engine that lays it out, which only a worker and the server load. */
export { PAPER_INK, SYMBOL_PATHS, diagramSvg } from './diagramSvg';
