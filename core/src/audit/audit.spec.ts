import fc from 'fast-check';
import { catalogue, document, feed, withWay } from '../../testing/sample-job.js';
import { rowIds, runCommands, type Command } from '../commands/index.js';
import { figuresOfFinding, holds, placeKey, type Finding } from '../findings/index.js';
import { documentOfFile, readJobFile, writeJobFile, type JobDocument } from '../job/index.js';
import { differenceBetweenJobs, leastChange, partsList, previewOf } from '../purchasing/index.js';
import { cutTickets } from '../cutting/index.js';
import { cheapestFirst, placesOf } from '../purchasing/least-change.js';
import {
  auditJob,
  brokenExample,
  examples,
  judgedAfter,
  judgedIf,
  judgeJob,
  putRightWhatIsCertain,
  remediesFor,
  ruleById,
  ruleIds,
  sideBySide,
  soundExample,
  standsAgainstCheck,
  standsBefore,
  standsBeside,
  type JudgedJob,
  type RuleId,
} from './index.js';

const newId = rowIds('1b671a64-40d5-491e-99b0-da01ff1f3341');
const context = { newId };
const run = (d: JobDocument, ...commands: Command[]): JobDocument => runCommands(d, commands, { newId, parts: catalogue }).document;
const told = ({ findings }: JudgedJob): string[] => findings.map((f) => f.rule);
const leaks = ({ findings }: JudgedJob): number => findings.filter((f) => f.severity === 'leak').length;
/** Nothing screws into the turbo: an adapter of another size stands there. */
const leaking: JobDocument = {
  ...document,
  lines: document.lines.map((l) => (l.id === feed.id ? withWay(feed, 1, [{ id: 'orb4m+an6m', inEnd: 1, outEnd: 0 }]) : l)),
};

describe('every rule', () => {
  it.each(ruleIds)('%s is tripped by its example, and by nothing in a sound job', (id) => {
    expect(told(brokenExample(id))).toContain(id);
    const { findings } = soundExample(id);
    expect(findings.filter((f) => holds(f) || f.rule === id).map((f) => f.message)).toEqual([]);
  });

  it.each(ruleIds)('%s says what happens, what to do and where it is from, in sentences', (id) => {
    const { title, why, hint, source } = ruleById(id);
    expect(title).toMatch(/^[A-Z].*[^.]$/);
    for (const words of [why, hint]) expect(words).toMatch(/^[A-Z].*\.$/s);
    expect(source.length).toBeGreaterThan(8);
  });

  const able = ruleIds.filter(standsBeside);
  it('is found among several faults, and nothing is said of what is sound beside them', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.constantFrom(...able), { minLength: 2, maxLength: 5 }), (rules) => {
        const { document: d, catalogue: c } = sideBySide(rules, () => true);
        expect(told(judgeJob(d, c))).toEqual(expect.arrayContaining(rules));
        const half = sideBySide(rules, (at) => at > 0);
        const lines = new Set(half.document.lines.filter((l) => l.id.startsWith('j0-')).map((l) => l.id));
        const said = judgeJob(half.document, half.catalogue).findings.filter((f) => lines.has(f.at.lineId ?? '') && holds(f));
        expect(said.map((f) => `${rules[0]}: ${f.rule}`)).toEqual([]);
      }),
      { numRuns: 25 },
    );
  });

  it('stands whatever else is done to a job: nothing makes it throw', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...ruleIds), { minLength: 1, maxLength: 6 }), (ids: RuleId[]) => {
        const first = { document: brokenExample(ids[0]!).document, catalogue: brokenExample(ids[0]!).catalogue };
        // where a fault takes the lines away, no other can be put in them
        const shown = ids.slice(1).reduce((now, id) => (now.document.lines.length > 0 ? examples[id].breaks(now) : now), first);
        const findings = auditJob(shown.document, shown.catalogue);
        expect(findings.map((f) => ruleById(f.rule).title)).toEqual(findings.map((f) => f.title));
      }),
      { numRuns: 40 },
    );
  });
});

describe('what is found', () => {
  it('is told the worst first, in the shape that every room reads', () => {
    const [first, ...rest] = auditJob(leaking, catalogue);
    expect(first).toMatchObject({
      rule: 'joint-does-not-join',
      severity: 'leak',
      at: { lineId: 'line1', way: 1 },
      title: 'The two do not go together',
      source: 'Common practice',
    });
    const order = ['leak', 'risk', 'open', 'advice'];
    const ranks = [first!, ...rest].map((f) => order.indexOf(f.severity));
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
  });

  it('holds a check, a ticket and what is counted, where it leaks or is a risk', () => {
    const job = judgeJob(leaking, catalogue);
    expect(standsAgainstCheck(job, 'line1')[0]).toMatch(/^Joint 6 does not join/);
    expect(cutTickets(job).notReady.map((n) => n.lineId)).toEqual(['line1']);
    expect(partsList(job).incomplete).toEqual([1]);
    const check: Command = { do: 'check-line', id: 'line1', version: 3, checked: { at: null, digest: {} } };
    const heldBy = (d: JobDocument, id: string) => standsAgainstCheck(judgeJob(d, catalogue), id);
    const checked = (d: JobDocument) => runCommands(d, [check], { newId, parts: catalogue, versions: 'ignore', heldBy }).document;
    expect(() => checked(leaking)).toThrow('L1 cannot be checked yet. Joint 6 does not join');
    expect(checked(document).lines[0]!.checked).not.toBeNull();
  });

  it('stands before the saw, the order or the start', () => {
    const { findings } = judgeJob(leaking, catalogue);
    expect(standsBefore(findings, 'saw').map((f) => f.rule)).toEqual(['joint-does-not-join']);
    expect(new Set(standsBefore(findings, 'start').map((f) => f.rule))).toContain('joints-not-made');
  });
});

describe('a finding that is accepted', () => {
  const accept = (f: Finding, d = leaking): JobDocument =>
    run(d, {
      do: 'accept-finding',
      waiver: { rule: f.rule, at: placeKey(f.at), figures: figuresOfFinding(f), by: 'RA', reason: ' to try it dry ', on: '2026-12-02' },
    });
  const [worst] = auditJob(leaking, catalogue);
  const accepted = accept(worst!);

  it('holds nothing any more, and stands on the ticket with its reason', () => {
    const job = judgeJob(accepted, catalogue);
    expect(job.lineById.get('line1')!.state).toBe('seals');
    const ticket = cutTickets(job).tickets.find((t) => t.lineName === 'Line 1')!;
    expect(ticket.accepted).toEqual(['The two do not go together: accepted by RA, to try it dry']);
    expect(job.findings.filter((f) => f.accepted)).toHaveLength(1);
  });

  it('comes back when its figures change, is withdrawn by a press, and goes with its line', () => {
    const other = accepted.lines.map((l) => (l.id === 'line1' ? withWay(l, 1, [{ id: 'orb8m+an6m', inEnd: 1, outEnd: 0 }]) : l));
    expect(leaks(judgeJob({ ...accepted, lines: other }, { ...catalogue }))).toBeGreaterThan(0);
    const again = run(accepted, { do: 'withdraw-acceptance', rule: worst!.rule, at: placeKey(worst!.at) });
    expect([again.job.waivers, judgeJob(again, catalogue).lineById.get('line1')!.state]).toEqual([undefined, 'leaks']);
    expect(() => run(again, { do: 'withdraw-acceptance', rule: worst!.rule, at: placeKey(worst!.at) })).toThrow('is not accepted');
    const { version } = accepted.lines.find((l) => l.id === 'line1')!;
    const gone = run(accepted, { do: 'delete-line', id: 'line1', version });
    expect(accept({ ...worst!, at: { lineId: 'line2' } }, gone).job.waivers).toHaveLength(1);
  });

  it('goes out with the job file and comes in again, by the names of the new job', () => {
    const file = writeJobFile(accepted, catalogue);
    expect(file.job.waivers).toMatchObject([{ at: expect.stringContaining('lineId=L1') as string, by: 'RA' }]);
    const read = readJobFile(JSON.parse(JSON.stringify(file)), new Set(catalogue.fittings.map((f) => f.id)));
    let next = 0;
    const made = documentOfFile(read, { number: '9', updatedAt: '', newId: () => `new${next++}` });
    expect(
      judgeJob(made, catalogue)
        .findings.filter((f) => f.accepted)
        .map((f) => f.rule),
    ).toEqual([worst!.rule]);
  });
});

describe('what puts it right', () => {
  it('is what its rule knows, and what can be solved: other adapters, another size', () => {
    const job = judgeJob(leaking, catalogue);
    const [first, ...more] = remediesFor(job, job.findings[0]!, context);
    expect(more.length).toBeLessThanOrEqual(4);
    const after = judgedAfter(job, first!.commands, context);
    expect(leaks(after)).toBe(0);
    const preview = previewOf(job, first!.commands, context);
    // it was taped over the adapter that goes
    expect([preview.holding, preview.new.map((f) => f.rule)]).toEqual([{ before: 1, after: 1 }, ['taped-over-another-way']]);
    expect(preview.gone.map((f) => f.rule)).toContain('joint-does-not-join');
    const tight = brokenExample('size-fails');
    const finding = tight.findings.find((f) => f.rule === 'size-fails')!;
    const sizes = remediesFor(tight, finding, context).filter((r) => r.label.startsWith('Take -'));
    expect(sizes).toHaveLength(1);
    expect(told(judgedAfter(tight, sizes[0]!.commands, context))).not.toContain('way-not-chosen');
  });

  it('without a choice is done together, as one change, and never makes anything leak', () => {
    const able = ruleIds.filter(standsBeside);
    fc.assert(
      fc.property(fc.uniqueArray(fc.constantFrom(...able), { minLength: 1, maxLength: 5 }), (rules) => {
        const shown = sideBySide(rules, () => true);
        const job = judgeJob(shown.document, shown.catalogue);
        const { commands, labels, after } = putRightWhatIsCertain(job, context);
        expect(leaks(after)).toBeLessThanOrEqual(leaks(job));
        expect(commands.length).toBeGreaterThanOrEqual(labels.length);
        // the server takes it as it stands, each row in the version it has
        const sent = runCommands(shown.document, commands, { newId, parts: shown.catalogue }).document;
        expect(auditJob(sent, shown.catalogue).map((f) => f.rule)).toEqual(told(after));
      }),
      { numRuns: 20 },
    );
    const turned = putRightWhatIsCertain(brokenExample('valve-against-flow'), context);
    expect(turned.labels).toEqual(['Turn the valve']);
    expect(told(turned.after)).not.toContain('valve-against-flow');
  });

  it('costs least where a line leaks at several places: as if everything had been tried', () => {
    const both = withWay(withWay(feed, 0, [{ id: 'm18x1.5mwasher+an6m', inEnd: 0, outEnd: 1 }]), 1, [
      { id: 'orb4m+an6m', inEnd: 1, outEnd: 0 },
    ]);
    const job = judgeJob({ ...document, lines: [both, ...document.lines.slice(1)] }, catalogue);
    const found = leastChange(job, 'line1', context)!;
    expect(found.remedies.length).toBe(2);
    const clears = [...cheapestFirst(placesOf(job, 'line1', context))].filter((set) => {
      const commands = set.flatMap((o) => o.commands);
      if (set.length === 0) return false;
      const after = judgeJob(runCommands(job.document, commands, { newId, parts: catalogue, versions: 'ignore' }).document, catalogue);
      return after.lineById.get('line1')!.findings.every((f) => f.severity !== 'leak');
    });
    const least = Math.min(...clears.map((set) => set.reduce((sum, o) => sum + o.costMinor, 0)));
    expect(found.costMinor).toBe(least);
    expect(leastChange(judgeJob(document, catalogue), 'line1', context)).toBeUndefined();
  });
});

describe('what if', () => {
  it('judges the whole job for a colder start, and leaves it as it is', () => {
    const job = soundExample('size-fails');
    const then = judgedIf(job, { coldC: -35 });
    expect(differenceBetweenJobs(job, then).new.map((f) => f.rule)).toContain('size-fails');
    expect(job.document.job.running!.coldC).toBe(0);
  });

  it('judges it for a bar more, another fuel, a height', () => {
    const boost = soundExample('coupler-without-bead');
    expect(judgedIf(boost, { moreBar: 1 }).document.job.running!.boostBar).toBe(2);
    const drain = soundExample('drain-rises');
    expect(judgedIf(drain, { moreBar: 5 }).document.lines[1]!.flow?.pressureBar).toBeUndefined();
    expect(judgedIf(drain, { altitudeM: 2500 }).document.job.running!.altitudeM).toBe(2500);
  });
});
