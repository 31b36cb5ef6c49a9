import { lineToLookOver, nameOfQuestion, ruleById, shownJob } from '@gewinde/core';
import { openSampleJob, render, settle } from '../../test/open-job';
import { FindTheFault } from './find-the-fault';

const rule = 'valve-against-flow';
const question = { rule, faulty: true } as const;
const { judged, said, choices } = lineToLookOver(question);
const asked = {
  id: nameOfQuestion(question),
  job: JSON.parse(JSON.stringify(shownJob(judged))) as object,
  said: said.map(([about, words]) => ({ about, said: words })),
  choices,
};
const nothing = { asked: 0, right: 0, weak: [] };

async function begun() {
  const job = await openSampleJob();
  localStorage.setItem('gewinde.apprentice', 'Ana');
  const view = await render(FindTheFault);
  job.request('GET', '/api/faults?apprentice=Ana').flush(nothing);
  await settle();
  job.request('POST', '/api/faults/next').flush(asked);
  await settle();
  await view.stable();
  const say = async (): Promise<void> => {
    view.find('.side form:not(.who)').dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    await view.stable();
  };
  const choose = async (name: string): Promise<void> => {
    const label = view.all('fieldset label').find((l) => l.textContent.includes(name))!;
    label.querySelector('input')!.click();
    await view.stable();
  };
  return { ...job, view, say, choose };
}

describe('find the fault', () => {
  afterEach(() => localStorage.clear());

  it('shows the line without a verdict, asks for one answer, and tells the rule with its reason', async () => {
    const { view, say, choose, request, http } = await begun();
    const drawn = () => view.find('g-drawing [role="img"], g-drawing svg').getAttribute('aria-label');
    expect(drawn()).toMatch(/\d joints\./);
    expect(drawn()).not.toMatch(/\d seal\b/);
    expect(view.find('.line table').textContent).toContain('arrow points');
    expect(view.all('fieldset label')).toHaveLength(7);
    await say();
    expect(view.find('.side > .g-error').textContent).toContain('Choose one of them first.');
    http.expectNone('/api/faults/answers');
    await choose('Nothing: it is sound');
    await say();
    const sent = request('POST', '/api/faults/answers');
    expect(sent.request.body).toEqual({ apprentice: 'Ana', question: asked.id, answer: 'sound' });
    sent.flush({ right: false, truth: rule, answer: 'sound', message: 'The valve stands against its flow.' });
    await settle();
    request('GET', '/api/faults?apprentice=Ana').flush({
      asked: 1,
      right: 0,
      weak: [{ truth: rule, answer: 'sound', times: 1, rightSince: 0 }],
    });
    await settle();
    await view.stable();
    const verdict = view.find('.g-verdict').textContent;
    expect(verdict).toContain(`It is not that: ${ruleById(rule).title}`);
    expect(verdict).toContain('The valve stands against its flow.');
    expect(view.find('.g-verdict a').getAttribute('href')).toBe(`/rules/${rule}`);
    expect(drawn()).toMatch(/\d joints, \d seal\./);
    expect(view.find('label.right').textContent).toContain(ruleById(rule).title);
    expect(view.find('label.wrong').textContent).toContain('Nothing');
    expect(view.all('fieldset input:not([disabled])')).toHaveLength(0);
    expect(view.find('g-drill-results').textContent).toContain('Nothing: it is sound');
    await say();
    request('POST', '/api/faults/next').flush({ ...asked, id: 'other' });
    await settle();
    await view.stable();
    expect(view.all('.g-verdict, label.right')).toHaveLength(0);
    expect(view.all('fieldset input:checked, fieldset input[disabled]')).toHaveLength(0);
  });

  it('keeps the line and the answer when the server does not answer', async () => {
    const { view, say, choose, request } = await begun();
    await choose('Nothing: it is sound');
    await say();
    request('POST', '/api/faults/answers').error(new ProgressEvent('error'));
    await settle();
    await view.stable();
    expect(view.find('.side > .g-error').textContent).toContain('The server does not answer.');
    expect(view.find('fieldset label:has(:checked)').textContent).toContain('Nothing');
    expect(view.all('.g-verdict')).toHaveLength(0);
  });

  it('asks for a name first', async () => {
    const { http } = await openSampleJob();
    const view = await render(FindTheFault);
    view.find('form.who').dispatchEvent(new Event('submit', { cancelable: true }));
    await view.stable();
    http.expectNone('/api/faults/next');
    expect(view.find('.g-error').textContent).toContain('Type a name first');
  });
});
