/** What a box of the diagram stands for; it is drawn by it. */
export type NodeKind = 'device' | 'fuse' | 'relay' | 'joint' | 'source' | 'ground';

/** One box. */
export interface DiagramNode {
  /** Its own among the nodes; wires name it. */
  readonly id: string;
  /** What is drawn: a device, a fuse, a relay, a joint, a ground. */
  readonly kind: NodeKind;
  /** What it is called, e.g. "F3 BACK UP". */
  readonly title: string;
  /** What else stands in it, e.g. its place. */
  readonly detail: string;
}

/** One line between two boxes. */
export interface DiagramWire {
  /** Its own among the wires. */
  readonly id: string;
  /** The node that it comes from. */
  readonly from: string;
  /** The node that it leads to. */
  readonly to: string;
  /** Colour, gauge and length, as they stand on the line. */
  readonly label: string;
  /** Colour code of the conductor, base then stripe; undefined where nobody knows. */
  readonly colour: string | undefined;
  /** Why it is as it is, sentence by sentence. */
  readonly why: readonly string[];
}

/** What is joined to what. */
export interface Netlist {
  /** Everything that wires end at, once each. */
  readonly nodes: readonly DiagramNode[];
  /** Every stretch between two nodes. */
  readonly wires: readonly DiagramWire[];
}

/** A lead as the diagram needs it. */
export interface DiagramLead {
  /** The feed’s id. */
  readonly id: string;
  /** What the lead is called, e.g. "Constant". */
  readonly name: string;
  /** Colour as printed in the kit’s guide; undefined where nobody has said. */
  readonly colour: string | undefined;
  /** Gauge and length, e.g. "0.82 mm², 2 m"; empty where there is none yet. */
  readonly conductor: string;
  /** Fuse of the lead, A; undefined for signals without one and for grounds. */
  readonly fuseA: number | undefined;
  /** Where the fuse sits, e.g. "in the tap, outer place". */
  readonly fuseAt: string;
  /** Relays between the lead and its wire, e.g. "2 relays"; undefined where there are none. */
  readonly relays: string | undefined;
  /** How it is joined to the car, in words. */
  readonly joint: string;
  /** Where in the car it ends. */
  readonly source: { readonly id: string; readonly title: string; readonly place: string };
  /** The car’s own colour there; undefined at a slot. */
  readonly sourceColour: string | undefined;
  /** Whether it goes to the body instead of a supply. */
  readonly ground: boolean;
  /** Why it is so, sentence by sentence: shown when its line is touched. */
  readonly why: readonly string[];
}

/** The boxes and lines of a job: device, added fuses, relays, joints and sources, and the ground, each lead in a row of its own. */
export function netlistOf(
  device: { readonly name: string; readonly mount: string },
  leads: readonly DiagramLead[],
): Netlist {
  const sources = new Map<string, DiagramNode>();
  const between: DiagramNode[] = [];
  const wires: DiagramWire[] = [];
  for (const lead of leads) {
    const end = `source ${lead.source.id}`;
    sources.set(end, {
      ...{ id: end, kind: lead.ground ? 'ground' : 'source' },
      ...{ title: lead.source.title, detail: lead.source.place },
    });
    const chain = chainOf(lead);
    between.push(...chain);
    const stops = ['device', ...chain.map(({ id }) => id), end];
    stops.slice(1).forEach((to, index) => {
      const isCars = index > 0;
      wires.push({
        ...{ id: `${lead.id} ${index}`, from: stops[index] ?? 'device', to },
        label: isCars
          ? (lead.sourceColour ?? lead.joint)
          : [lead.name, lead.colour, lead.conductor].filter(Boolean).join(' · '),
        colour: isCars ? lead.sourceColour : lead.colour,
        why: lead.why,
      });
    });
  }
  return {
    nodes: [
      { id: 'device', kind: 'device', title: device.name, detail: device.mount },
      ...between,
      ...sources.values(),
    ],
    wires,
  };
}

/** What lies between the device and a source. */
function chainOf(lead: DiagramLead): DiagramNode[] {
  return [
    ...(lead.relays === undefined
      ? []
      : [
          {
            id: `relay ${lead.id}`,
            kind: 'relay' as const,
            title: lead.relays,
            detail: lead.joint,
          },
        ]),
    ...(lead.fuseA === undefined
      ? []
      : [
          {
            ...{ id: `fuse ${lead.id}`, kind: 'fuse' as const },
            ...{ title: `${lead.fuseA} A`, detail: lead.fuseAt },
          },
        ]),
  ];
}
