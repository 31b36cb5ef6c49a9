import { connectorName, formatConnector } from '../../connectors/index.js';
import { portCases, portThreadName } from '../../job/index.js';
import { PRACTICE, rulesOf } from '../rule.js';

/** Ports of a line of which the thread is not certain; each thing it may be is a button that settles it. */
export const portRules = rulesOf(
  'line',
  {
    'port-uncertain': {
      title: 'The thread is not certain',
      area: 'as found, provisional',
      severity: 'open',
      before: 'order',
      undecided: true,
      why: 'Each case is judged, and the worst is told: what is ordered for one may not serve the other.',
      hint: 'Settle it in the survey: what may come off tells, or the thread bench.',
      source: PRACTICE,
    },
  },
  ({ line: { line, portA, portB } }, say) => {
    for (const { side, component, port } of [portA, portB]) {
      if (port.connector) continue;
      const at = { lineId: line.id, portId: port.id, way: side === 'A' ? 0 : line.ways.length - 1 };
      const cases = portCases(port);
      const words = `${component.name}, ${port.label}`;
      const remedies = cases.map((connector) => ({
        label: `It is ${connectorName(connector)}`,
        commands: [{ do: 'edit-port' as const, id: port.id, version: port.version, set: { notation: formatConnector(connector) } }],
      }));
      if (cases.length > 0) say('port-uncertain', at, `${words} may be ${portThreadName(port)}.`, { remedies });
      else
        say('port-uncertain', at, `${words}: the thread is ${portThreadName(port)}.`, {
          hint: 'Name it on the thread bench, or write in the survey what it may be: npt 1/8 f | rc 1/8 f.',
        });
    }
  },
);
