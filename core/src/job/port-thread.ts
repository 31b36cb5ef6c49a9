import { Type, type Static, type TObject } from 'typebox';
import {
  ConnectorSchema,
  connectorName,
  ConnectorSyntaxError,
  formatConnector,
  parseConnector,
  type Connector,
} from '../connectors/index.js';
import { counts, letters, WordsOrNone } from '../schema/index.js';

/** Threads that one port may have: more are not a narrowing down, but a port that is not known. */
export const MOST_CASES = counts.casesOfPort;
/** Characters of a port's notation. */
export const MOST_PORT_NOTATION = letters.portNotation;

/** What is known of a port's thread: its connector; or, while that is null, either what it may be, or what is said of it. */
export const PortThreadFields = {
  connector: Type.Union([ConnectorSchema, Type.Null()]),
  maybe: Type.Optional(Type.Array(ConnectorSchema, { minItems: 2, maxItems: MOST_CASES })),
  said: Type.Optional(WordsOrNone(letters.portSaid)),
};
type Fields = typeof PortThreadFields;
export type PortThread = Static<TObject<Fields>>;

/**
 * Reads what is known of a port: a connector (`npt 1/8 f`), what it may be (`npt 1/8 f | rc 1/8 f`), or that it is not known, with
 * what is (`? about 14 mm`).
 *
 * @throws {ConnectorSyntaxError} with its place in the whole text
 */
export function parsePortThread(text: string): PortThread {
  const unknown = /^\s*\?([^|]*)$/.exec(text);
  if (unknown) return { connector: null, said: unknown[1]!.trim() };
  if (!text.includes('|')) return { connector: parseConnector(text) };
  const parts = text.split('|');
  const maybe: Connector[] = [];
  let at = 0;
  for (const [i, part] of parts.entries()) {
    const connector = parsePart(parts, i, at);
    const known = maybe.find((c) => formatConnector(c) === formatConnector(connector));
    if (known) throw new ConnectorSyntaxError(`${formatConnector(known)} stands there twice.`, at, part.length, 'Leave one away.');
    maybe.push(connector);
    at += part.length + 1;
  }
  if (maybe.length > MOST_CASES)
    throw new ConnectorSyntaxError(
      `It may be ${maybe.length} threads.`,
      0,
      text.length,
      'That is not known: write ? and what is, such as ? about 14 mm.',
    );
  return { connector: null, maybe };
}

function parsePart(parts: readonly string[], i: number, at: number): Connector {
  const part = parts[i]!;
  try {
    if (part.trim().startsWith('?'))
      throw new ConnectorSyntaxError('Not known is no thread beside others.', 0, part.length, 'Leave it away, or write the ? alone.');
    return parseConnector(part);
  } catch (error) {
    if (!(error instanceof ConnectorSyntaxError)) throw error;
    const { message, position, length, hint, suggestion, choices } = error;
    const whole = (text: string): string => parts.map((p, j) => (j === i ? text : p.trim())).join(' | ');
    throw new ConnectorSyntaxError(message, at + position, length, hint, suggestion && whole(suggestion), choices.map(whole), error.part);
  }
}

/** As {@link parsePortThread} reads it. */
export function formatPortThread({ connector, maybe, said = '' }: PortThread): string {
  if (connector) return formatConnector(connector);
  return maybe ? maybe.map(formatConnector).join(' | ') : `? ${said}`.trim();
}

/** In full words: `NPT 1/8, female`, `NPT 1/8, female, or Rc 1/8, female`, `not known: about 14 mm`. */
export function portThreadName({ connector, maybe, said }: PortThread): string {
  if (connector) return connectorName(connector);
  if (maybe) return maybe.map(connectorName).join(', or ');
  return said ? `not known: ${said}` : 'not known';
}

/** What the port may be: one connector where it is known, none where nothing is. */
export function portCases({ connector, maybe = [] }: PortThread): readonly Connector[] {
  return connector ? [connector] : maybe;
}
