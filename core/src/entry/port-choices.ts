import { formatPortThread, portThreadName, userOfPort, type JobDocument, type Port } from '../job/index.js';

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

/**
 * Those in which every word is found, in the component, the name, the notation or its full words: free ones first, of these where the words
 * are all of its name, then where each begins a word, then the others; each in the order they came.
 */
export function matchingPorts(choices: readonly PortChoice[], text: string): PortChoice[] {
  const words = wordsIn(text);
  const ranks = choices.flatMap((choice) => {
    const said = `${choice.name} ${choice.notation} ${portThreadName(choice.port)}`.toLowerCase();
    if (!words.every((word) => said.includes(word))) return [];
    const own = wordsIn(choice.name);
    const near = own.join(' ') === words.join(' ') ? 0 : words.every((word) => own.some((o) => o.startsWith(word))) ? 1 : 2;
    return [{ choice, rank: near + (choice.usedBy ? 3 : 0) }];
  });
  return ranks.sort((a, b) => a.rank - b.rank).map(({ choice }) => choice);
}

/** As they are held against one another: small, without what only parts them. */
export function wordsIn(text: string): string[] {
  return text
    .toLowerCase()
    .split(/[\s,;·/]+/)
    .filter(Boolean);
}
