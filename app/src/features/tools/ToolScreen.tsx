import type { ComponentType } from 'react';
import { AmpsTool } from './AmpsTool';
import { BatteryTool } from './BatteryTool';
import { DesignTool } from './DesignTool';
import { DeviceTool } from './DeviceTool';
import { FaultTool } from './FaultTool';
import { GroundTool } from './GroundTool';
import { HoleTool } from './HoleTool';
import { LadderTool } from './LadderTool';
import { JointTool } from './JointTool';
import { LeadsTool } from './LeadsTool';
import { RelayTool } from './RelayTool';
import { RunTool } from './RunTool';
import { SpeakersTool } from './speakers/SpeakersTool';
import { TapTool } from './TapTool';
import { TerminalsTool } from './TerminalsTool';
import { ToolsScreen } from './ToolsScreen';
import type { ToolId } from './tools';
import { WireTool } from './WireTool';

const SCREENS: Record<ToolId, ComponentType> = {
  wire: WireTool,
  run: RunTool,
  battery: BatteryTool,
  amps: AmpsTool,
  tap: TapTool,
  joint: JointTool,
  terminals: TerminalsTool,
  relay: RelayTool,
  design: DesignTool,
  ladder: LadderTool,
  speakers: SpeakersTool,
  fault: FaultTool,
  ground: GroundTool,
  hole: HoleTool,
  device: DeviceTool,
  leads: LeadsTool,
};

/** One tool by its address; an unknown address shows them all. */
export function ToolScreen({ tool }: { readonly tool: string }) {
  const Tool = Object.hasOwn(SCREENS, tool) ? SCREENS[tool as ToolId] : ToolsScreen;
  return <Tool />;
}
