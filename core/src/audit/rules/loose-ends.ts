import { closingOf } from '../../chains/index.js';
import { connectorName, type Connector } from '../../connectors/index.js';
import type { Remedy } from '../../findings/index.js';
import type { Closed, Component, Port } from '../../job/index.js';
import { mate } from '../../seals/index.js';
import type { JobFacts } from '../facts.js';
import { PRACTICE, rulesOf } from '../rule.js';

/** Ports that nothing runs from: each is a line, a plug, a cap, stays as it is, or is told here. */
export const looseEndRules = rulesOf(
  'job',
  {
    'port-vacated': {
      title: 'The hole of a sensor is open',
      area: 'loose ends',
      severity: 'leak',
      before: 'order',
      why: 'The sensor moves away, and nothing closes where it sat.',
      hint: 'Plug it, or run a line from it.',
      source: PRACTICE,
    },
    'port-of-part-open': {
      title: 'A port of a new part is open',
      area: 'loose ends',
      severity: 'leak',
      before: 'order',
      why: 'A plate, a cooler or a filter head comes with its ports open: gauge ports are forgotten.',
      hint: 'Plug it, or run a line from it.',
      source: PRACTICE,
    },
    'port-not-decided': {
      title: 'Nobody has said what closes this port',
      area: 'loose ends',
      severity: 'open',
      before: 'start',
      why: 'A spigot or a gauge port that stays open empties the sump in a minute.',
      hint: 'Run a line from it, plug it, or say that it stays as it is.',
      source: PRACTICE,
    },
    'plug-leaks': {
      title: 'What closes this port does not seal',
      area: 'loose ends',
      severity: 'leak',
      before: 'order',
      why: 'The thread of the port was changed since, or another plug is meant.',
      hint: 'Close it again: the plug is chosen by the thread.',
      source: PRACTICE,
    },
  },
  ({ job }, say) => {
    for (const port of job.document.ports) {
      if (port.openEnd || job.userByPort.has(port.id)) continue;
      const component = job.componentById.get(port.componentId)!;
      const at = { componentId: component.id, portId: port.id };
      const words = `${component.name}, ${port.label}`;
      if (port.closed) {
        const leak = port.connector && plugLeak(port.connector, port.closed, job);
        if (leak) say('plug-leaks', at, `${words}: ${leak}`, { remedies: closings(port, job, true) });
        continue;
      }
      const thread = port.connector ? ` (${connectorName(port.connector)})` : '';
      const left = port.sensor?.movedTo !== undefined && port.sensor.movedTo !== null;
      const remedies = closings(port, job, left || LITTLE.test(port.label));
      if (left)
        say('port-vacated', at, `${words}${thread}: the ${port.sensor!.name} moves away, and nothing closes its hole.`, { remedies });
      else if (isNew(component, port)) say('port-of-part-open', at, `${words}${thread} is open.`, { remedies });
      else say('port-not-decided', at, `${words}${thread} is free.`, { remedies: [...remedies, stays(port)] });
    }
  },
);

/** Ports that are plugged where nothing is wanted from them; all others may be waiting for their line. */
const LITTLE = /\b(gauge|sensor|sender|switch|probe|sample|bleed|drain plug|temperature|temp)\b/i;

/** It comes with a part that is bought for the job. */
function isNew({ part }: Component, { end }: Port): boolean {
  return part !== undefined && part !== null && !part.there && end !== undefined;
}

function stays({ id, version }: Port): Remedy {
  return { label: 'It stays as it is', commands: [{ do: 'edit-port', id, version, set: { closed: { by: 'stays', fittings: [] } } }] };
}

/** The plug or cap that goes there, where the catalogue has one. */
function closings({ id, version, connector }: Port, { catalogue }: JobFacts['job'], certain: boolean): Remedy[] {
  const found = connector && closingOf(connector, catalogue.fittings, 'plug');
  if (!found) return [];
  const closed: Closed = { by: 'plug', fittings: [...found.links] };
  return [
    {
      label: `Close it: ${found.name}`,
      commands: [{ do: 'edit-port', id, version, set: { closed } }],
      ...(certain ? { certain: true as const } : {}),
    },
  ];
}

/** Why what closes a port does not seal on it; undefined where it does. */
function plugLeak(connector: Connector, { by, fittings }: Closed, { catalogue }: JobFacts['job']): string | undefined {
  if (by === 'stays') return undefined;
  let exposed = connector;
  for (const { id, inEnd, outEnd } of fittings) {
    const fitting = catalogue.fittings.find((f) => f.id === id);
    const inner = fitting?.ends[inEnd];
    if (!fitting || !inner) return `"${id}" is no longer in the catalogue.`;
    const { outcome, reason } = mate(exposed, inner);
    if (outcome !== 'seals') return reason;
    exposed = fitting.ends[outEnd] ?? inner;
  }
  return undefined;
}
