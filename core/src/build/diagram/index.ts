export { layoutDiagram } from './layoutDiagram';
export type { Diagram, DrawnBox, DrawnNode, DrawnPoint, DrawnWire } from './layoutDiagram';
export { netlistOf } from './netlist';
export type { DiagramLead, DiagramNode, DiagramWire, Netlist, NodeKind } from './netlist';
