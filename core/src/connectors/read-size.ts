import { ConnectorSyntaxError } from './connector-syntax-error.js';
import type { Family } from './family.js';
import { dashToFraction, formatDash } from '../units/index.js';
import type { Token } from './scan-notation.js';

/** The size a token names in the given family, as that family writes it. @throws {ConnectorSyntaxError} */
export function readSize(token: Token, family: Family): string {
  const fail = (message: string, hint: string): never => {
    throw new ConnectorSyntaxError(message, token.position, token.text.length, hint);
  };
  const size = sizeIn(token, family, fail);
  if (family.sizes.includes(size)) return size;
  return fail(`${family.name} has no size ${showSize(family, size)}.`, `It comes in ${nearSizes(family, size)}.`);
}

function sizeIn(token: Token, family: Family, fail: (message: string, hint: string) => never): string {
  const [first, second] = token.parts;
  const number = (text: string | undefined): string => String(Number((text ?? '').replace(',', '.')));
  switch (family.sizeKind) {
    case 'dash':
      if (token.kind === 'dash') return number(first);
      if (token.kind === 'number' && /^\d+$/.test(token.text)) return number(token.text);
      return fail(`${family.name} sizes are dash sizes, not "${token.text}".`, 'Type the dash number: 6 or -6.');
    case 'pipe':
      if (token.kind === 'fraction') return fractionText(token);
      if (token.kind === 'inch-thread') return (first ?? '').replace(/\s+/g, ' ');
      if (token.kind === 'number' && Number(token.text) <= 2) return number(token.text);
      return fail(`"${token.text}" is not a pipe size.`, 'Pipe sizes are written as fractions: 1/8, 1/4, 3/8, 1/2.');
    case 'metric':
      if (token.kind === 'metric') return metricText(token, family, fail);
      return fail(`"${token.text}" is not a metric thread.`, 'Type diameter and pitch: m14x1.5.');
    case 'bolt':
      if (token.kind === 'metric') return metricText(token, family, fail);
      if (token.kind === 'inch-thread') return `${(first ?? '').replace(/\s+/g, ' ')}-${second}`;
      return fail(`"${token.text}" is not a bolt thread.`, 'Type the bolt: banjo m12x1.5 or banjo 7/16-20.');
    case 'bore':
      if (token.kind === 'fraction') return fractionText(token);
      if (token.kind === 'millimetres') return `${number(first)}mm`;
      if (token.kind === 'dash') return dashToFraction(Number(first));
      if (token.kind === 'number' && family.sizes.includes(number(token.text))) return number(token.text);
      return fail(`"${token.text}" is not a hose bore.`, `Type it as barb 3/8 or barb 10mm.`);
  }
}

function fractionText(token: Token): string {
  const [a, b, c] = token.parts;
  return c === undefined ? `${Number(a)}/${Number(b)}` : `${Number(a)} ${Number(b)}/${Number(c)}`;
}

function metricText(token: Token, family: Family, fail: (message: string, hint: string) => never): string {
  const diameter = Number((token.parts[0] ?? '').replace(',', '.'));
  if (token.parts[1] !== undefined) return `M${diameter}x${Number(token.parts[1].replace(',', '.'))}`;
  const choices = family.sizes.filter((size) => size.startsWith(`M${diameter}x`));
  return choices.length > 0
    ? fail(`M${diameter} comes in more than one pitch.`, `Measure the pitch and type it: ${choices.join(', ').toLowerCase()}.`)
    : fail(`There is no M${diameter} port in the library.`, 'Type diameter and pitch: m14x1.5.');
}

function showSize(family: Family, size: string): string {
  return family.sizeKind === 'dash' ? formatDash(Number(size)) : size;
}

function nearSizes(family: Family, size: string): string {
  const magnitude = (text: string): number => {
    const digits = /(\d+(?:\.\d+)?)(?:\/(\d+))?/.exec(
      text.replace(/^(\d+) (\d+)\/(\d+)$/, (_, w, t, b) => `${Number(w) + Number(t) / Number(b)}`),
    );
    return digits ? Number(digits[1]) / Number(digits[2] ?? 1) : 0;
  };
  const near = [...family.sizes]
    .sort((a, b) => Math.abs(magnitude(a) - magnitude(size)) - Math.abs(magnitude(b) - magnitude(size)))
    .slice(0, 5);
  return family.sizes
    .filter((s) => near.includes(s))
    .map((s) => showSize(family, s))
    .join(', ');
}
