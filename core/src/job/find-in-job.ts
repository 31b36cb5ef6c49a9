import { folded } from '../schema/index.js';
import { entriesOf, type Catalogue } from './catalogue.js';
import type { JobDocument } from './job-schema.js';
import { partsNamedIn } from './parts-named.js';
import { formatPortThread, portThreadName } from './port-thread.js';

/** Something of a job that can be looked for. */
export interface Findable {
  readonly kind: 'line' | 'port' | 'component' | 'part';
  readonly id: string;
  readonly name: string;
  readonly detail: string;
  /** Where a port is. */
  readonly componentId?: string;
}

/** The lines, ports, components and parts of a job, by the words they are looked for with. Parts that `catalogue` lacks go by their ids. */
export function findablesOf(document: JobDocument, catalogue: Catalogue): Findable[] {
  const components = new Map(document.components.map((c) => [c.id, c.name]));
  const parts = new Map(entriesOf(catalogue).map(({ part }) => [part.id, part]));
  return [
    ...document.lines.map((l): Findable => ({
      kind: 'line',
      id: l.id,
      name: `L${l.number} ${l.name}`,
      detail: l.service.replace('-', ' '),
    })),
    ...document.ports.map((p): Findable => ({
      kind: 'port',
      id: p.id,
      componentId: p.componentId,
      name: `${components.get(p.componentId) ?? ''}, ${p.label}`,
      detail: `${formatPortThread(p)} · ${portThreadName(p)}`,
    })),
    ...document.components.map((c): Findable => ({ kind: 'component', id: c.id, name: c.name, detail: c.kind })),
    ...[...partsNamedIn(document)].map((id): Findable => {
      const part = parts.get(id);
      return { kind: 'part', id, name: part?.name ?? id, detail: part?.code ?? id };
    }),
  ];
}

/** What is typed to find something, in words that are compared as they are folded. */
export function searchWords(text: string): string[] {
  return [...new Set(folded(text).split(/\s+/).filter(Boolean))];
}

/** Whether all words are in what something is called. */
export function hasWords(
  { kind, name, detail }: { readonly kind: string; readonly name: string; readonly detail: string },
  words: readonly string[],
): boolean {
  const said = folded(`${kind} ${name} ${detail}`);
  return words.every((word) => said.includes(word));
}

/** All words of some texts, each once, folded: what {@link searchWords} are looked for in. */
export function wordsIn(texts: readonly string[]): string {
  return [...new Set(folded(texts.join(' ')).split(/\s+/))].join(' ');
}

/** Those with the most of some words, the best first; none that has no word at all. */
export function bestFound(findables: readonly Findable[], words: readonly string[], most: number): Findable[] {
  return findables
    .map((findable) => {
      const said = folded(`${findable.name} ${findable.detail}`);
      return { findable, hits: words.filter((word) => said.includes(word)).length };
    })
    .filter(({ hits }) => hits > 0)
    .sort((a, b) => b.hits - a.hits)
    .slice(0, most)
    .map(({ findable }) => findable);
}
