import { formatPortThread, portThreadName, userOfPort, type JobDocument, type Port } from '@gewinde/core';

/** A port as it is picked. */
export interface PortChoice {
  readonly id: string;
  readonly port: Port;
  readonly component: string;
  readonly notation: string;
  /** `Turbo, oil inlet`. */
  readonly name: string;
  /** `L4 Turbo feed`, where a line uses it already. */
  readonly usedBy?: string;
}

/** The ports of a job in the order of the survey, free ones first. A line's own ports count as free for it. */
export function portChoices(document: JobDocument, besides?: string): PortChoice[] {
  const byOrder = (a: { order: number }, b: { order: number }): number => a.order - b.order;
  const all = [...document.components].sort(byOrder).flatMap((component) =>
    document.ports
      .filter((p) => p.componentId === component.id)
      .sort(byOrder)
      .map((port): PortChoice => {
        const user = userOfPort(port, document);
        // a sensor that still sits in its own port is asked about when a line takes the port
        const usedBy =
          user?.kind === 'line' ? user.line.id !== besides && `L${user.line.number} ${user.line.name}` : user?.from && `the ${user.name}`;
        return {
          id: port.id,
          port,
          component: component.name,
          notation: formatPortThread(port),
          name: `${component.name}, ${port.label}`,
          ...(usedBy ? { usedBy } : {}),
        };
      }),
  );
  return [...all.filter((c) => !c.usedBy), ...all.filter((c) => c.usedBy)];
}

/** Those in which every word is found: in the component, the name, the notation or its full words. */
export function matchingPorts(choices: readonly PortChoice[], text: string): PortChoice[] {
  const words = text
    .toLowerCase()
    .split(/[\s,·]+/)
    .filter(Boolean);
  return choices.filter((c) => {
    const said = `${c.name} ${c.notation} ${portThreadName(c.port)}`.toLowerCase();
    return words.every((word) => said.includes(word));
  });
}
