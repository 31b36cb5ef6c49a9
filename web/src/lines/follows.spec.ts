import { assembleJob, sizeLine, usualFlowRules, type AssembledLine, type Component as ComponentRow, type Line } from '@gewinde/core';
import { TestBed } from '@angular/core/testing';
import { catalogue, document, drain, feed, jobOf, withPiece } from '../../../core/testing/sample-job';
import { openSampleJob, render, type Rendered } from '../../test/open-job';
import { FlowView } from '../sizing/flow-view';
import { LineFlowForm } from '../sizing/line-flow-form';
import { PartCard } from '../store/part-card';
import { ComponentPart } from '../survey/component-part';
import { PortForm } from '../survey/port-form';
import { ComponentPanel } from '../system/component-panel';
import { JointInspector } from './joint-inspector';
import { JointRecord } from './joint-record';
import { LineForm } from './line-form';
import { PieceForm } from './piece-form';
import { SealRow } from './seal-row';

/** What a view says, with what stands in its fields: all that a person reads in it. */
function read({ root }: Rendered<unknown>): string {
  const fields = [...root.querySelectorAll<HTMLInputElement | HTMLSelectElement>('input, select, textarea')].map((field) =>
    field instanceof HTMLSelectElement
      ? field.selectedOptions[0]?.textContent.trim()
      : field.type === 'checkbox'
        ? String(field.checked)
        : field.value,
  );
  // what a field is told by is named by a running number
  return [root.textContent.replace(/\s+/g, ' '), ...fields].join(' | ');
}

const found = { joint: 'A>0m', state: 'loose', action: 'nothing yet', words: 'wrench marks' } as const;
const lines: readonly Line[] = [
  { ...feed, found: [found], flow: { flowLpm: 3, restrictorMm: 1.2 } },
  withPiece({ ...drain, flow: { fallMm: 180 } }, { slackPercent: 5 }),
];
const job = jobOf(lines);
const [one, other] = [job.lines[0]!, job.lines[1]!] as const;
const components: readonly ComponentRow[] = document.components.map((c, i) => (i === 0 ? { ...c, flow: { holdsL: 4 }, part: null } : c));
const [block, turbo] = components as [ComponentRow, ComponentRow];
const sized = (line: AssembledLine) =>
  sizeLine(line, { ...TestBed.inject(FlowView).question()!, job: assembleJob(job.document, catalogue), rules: usualFlowRules });

const cardOf = (at: number) => ({
  row: { id: catalogue.fittings[at]!.id, version: 1, origin: 'standard', kind: 'fitting', part: catalogue.fittings[at]! },
  usedBy: [],
});

interface Subject {
  readonly view: Parameters<typeof render>[0];
  readonly first: () => Record<string, unknown>;
  readonly second: () => Record<string, unknown>;
  /** What must be seen of each. */
  readonly says: readonly [RegExp, RegExp];
}

const views: Record<string, Subject> = {
  'the line': {
    view: LineForm,
    first: () => ({ assembled: one }),
    second: () => ({ assembled: other }),
    says: [/block, port gallery.*turbo, port inlet/, /turbo, port drain.*block, port pan/],
  },
  'the hose': {
    view: PieceForm,
    first: () => ({ assembled: one, piece: one.pieces[0] }),
    second: () => ({ assembled: other, piece: other.pieces[0] }),
    says: [/664/, /400/],
  },
  'the joint': {
    view: JointInspector,
    first: () => ({ line: one, joint: one.joints[0] }),
    second: () => ({ line: other, joint: other.joints[1] }),
    says: [/Joint 1/, /Joint 2/],
  },
  'the record of a joint': {
    view: JointRecord,
    first: () => ({ line: one, joint: one.joints[0] }),
    second: () => ({ line: other, joint: other.joints[0] }),
    says: [/wrench marks/, /not looked at/],
  },
  'the row of seals': {
    view: SealRow,
    first: () => ({ line: one, chosen: null }),
    second: () => ({ line: other, chosen: null }),
    says: [/copper/, /./],
  },
  'what flows in the line': {
    view: LineFlowForm,
    first: () => ({ sizing: sized(one) }),
    second: () => ({ sizing: sized(other) }),
    says: [/1\.2/, /180/],
  },
  'the component in the system': {
    view: ComponentPanel,
    first: () => ({ component: block }),
    second: () => ({ component: turbo }),
    says: [/4.L/, /Holds/i],
  },
  'the part of a component': {
    view: ComponentPart,
    first: () => ({ component: { ...block, part: { id: catalogue.fittings[0]!.id, there: true } }, ports: [] }),
    second: () => ({ component: turbo, ports: [] }),
    says: [/true/, /part/],
  },
  'the part in the store': {
    view: PartCard,
    first: () => ({ card: cardOf(0) }),
    second: () => ({ card: cardOf(40) }),
    says: [new RegExp(catalogue.fittings[0]!.name.slice(0, 12)), new RegExp(catalogue.fittings[40]!.name.slice(0, 12))],
  },
  'the port': {
    view: PortForm,
    first: () => ({ component: block, editing: document.ports[0] }),
    second: () => ({ component: turbo, editing: document.ports[1] }),
    says: [/m14x1\.5 f washer/, /orb6 f/],
  },
};

describe('a view that stays while its subject changes', () => {
  it.each(Object.keys(views))('follows it, there and back, with every field: %s', async (name) => {
    const { view, first, second, says } = views[name]!;
    const open = async (): Promise<void> => void (await openSampleJob({ lines: [...lines], components: [...components] }));
    await open();
    // as each is when it is opened afresh
    const fresh = [await render(view, first()), await render(view, second())].map(read);
    expect(fresh[0]).toMatch(says[0]);
    expect(fresh[1]).toMatch(says[1]);
    const stays = await render(view, first());
    const turn = async (to: Record<string, unknown>): Promise<string> => {
      for (const [input, value] of Object.entries(to)) stays.fixture.componentRef.setInput(input, value);
      await stays.stable();
      return read(stays);
    };
    expect(await turn(second())).toBe(fresh[1]);
    expect(await turn(first())).toBe(fresh[0]);
    expect(await turn(second())).toBe(fresh[1]);
  });

  it('takes along nothing that was typed and could not be read', async () => {
    await openSampleJob({ lines: [...lines] });
    const twin = { ...other, line: { ...other.line, id: 'twin' } };
    const form = await render(PieceForm, { assembled: other, piece: other.pieces[0] });
    await form.type('Taped length', 'long');
    expect(form.find('[role=alert]').textContent).toContain('not a number');
    form.fixture.componentRef.setInput('assembled', twin);
    await form.stable();
    expect(form.field('Taped length').value).toContain('400');
    expect(form.all('[role=alert]')).toEqual([]);
  });
});
