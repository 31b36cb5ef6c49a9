import {
  faultsToFind,
  lineToLookOver,
  nameOfQuestion,
  NOTHING_WRONG,
  questionNamed,
  rightAnswer,
  type FaultQuestion,
} from './find-the-fault.js';
import { ruleById, ruleIds, type RuleId } from './registry.js';
import { shownJob } from './shown-job.js';

const questions = (): FaultQuestion[] =>
  faultsToFind().flatMap((rule) => [
    { rule, faulty: true },
    { rule, faulty: false },
  ]);
const known = (question: FaultQuestion) => lineToLookOver(question).said.map(([about, said]) => `${about}: ${said}`);

describe('a line to look over', () => {
  it('is asked of every rule that holds a line, but for what is not seen on a made one', () => {
    const asked = new Set<string>(faultsToFind());
    const holds = ruleIds.filter((id) => ['leak', 'risk'].includes(ruleById(id).severity) && ruleById(id).check.reads !== 'job');
    expect(holds.filter((id) => !asked.has(id))).toEqual([
      'part-retired',
      'component-part-gone',
      'open-end-gone',
      'drain-narrow',
      'fitting-refused',
    ]);
  });

  it('shows what is wrong with it, and nothing else differs from the sound one but what the fault is about', () => {
    for (const rule of faultsToFind()) {
      const [sound, faulty] = [known({ rule, faulty: false }), known({ rule, faulty: true })];
      expect([rule, faulty]).not.toEqual([rule, sound]);
    }
  });

  it('has exactly one right answer: no rule that is broken as well stands beside it, and the sound one breaks none of them', () => {
    for (const question of questions()) {
      const { judged, choices } = lineToLookOver(question);
      const broken = choices.filter((id) => judged.findings.some((f) => f.rule === id));
      const answer = rightAnswer(question);
      expect([question, broken]).toEqual([question, answer === NOTHING_WRONG ? [] : [answer]]);
      expect(choices).toContain(question.rule);
      expect(choices).toHaveLength(6);
    }
  });

  it('offers other rules beside each, so that the right one is not known by its company', () => {
    const companies = faultsToFind().map((rule) => lineToLookOver({ rule, faulty: true }).choices.join());
    expect(new Set(companies).size).toBeGreaterThan(companies.length / 3);
  });

  it('is handed out by a name that does not tell, and found by it again', () => {
    const names = new Set<string>();
    for (const question of questions()) {
      const name = nameOfQuestion(question);
      expect(name).not.toContain(question.rule);
      expect(questionNamed(name)).toEqual(question);
      names.add(name);
    }
    expect(names.size).toBe(questions().length);
    expect(questionNamed('an4')).toBeUndefined();
  });

  it('comes with the parts that it is drawn with, and its words say no verdict', () => {
    const verdict = /\bleaks?\b|\bseals?\b|will not|too (long|short|narrow)|wrong/i;
    for (const question of questions()) {
      const { judged, line } = lineToLookOver(question);
      const job = shownJob(judged);
      const shown = new Set([...job.fittings, ...job.hoses, ...job.hoseEnds].map((p) => p.id));
      const drawn = [
        ...line.ways.flatMap((way) => way.fittings?.map(({ fitting }) => fitting.id) ?? []),
        ...line.pieces.flatMap(({ hose, endA, endB }) => [hose, endA, endB].flatMap((p) => (p ? [p.id] : []))),
      ];
      expect(drawn.filter((id) => !shown.has(id))).toEqual([]);
      expect(known(question).filter((words) => verdict.test(words))).toEqual([]);
    }
  });

  it('can be asked of a valve that stands against its flow: the arrow is said', () => {
    const against = faultsToFind().filter((id): id is RuleId =>
      known({ rule: id, faulty: true }).some((words) => /arrow points|lets through/.test(words)),
    );
    expect(against.length).toBeGreaterThan(0);
  });
});
