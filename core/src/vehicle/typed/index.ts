export { editCell } from './editCells';
export type { CellAt, CellEdit } from './editCells';
export { CORNERS, USUAL_LANDMARKS, typedPanel } from '../typedPanel/typedPanel';
export type {
  Corner,
  Numbering,
  PanelGiven,
  TypedPanel,
  TypedProblem,
} from '../typedPanel/typedPanel';
export { writtenCell, writtenPanel } from '../typedPanel/writtenPanel';
export type { PanelLook, WrittenPanel } from '../typedPanel/writtenPanel';
export { typedPoints, writtenPoints } from '../typedPoints';
export type { TypedPoint } from '../typedPoints';
export { typedWires, writtenWires } from '../typedWires/typedWires';
export type { TypedWire, TypedWires } from '../typedWires/typedWires';
