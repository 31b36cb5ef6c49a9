import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { openSampleJob, render, settle } from '../../test/open-job';
import { Drill } from './drill';
import { Matrix } from './matrix';
import { PairCheck } from './pair-check';

describe('the pair check', () => {
  it('gives the verdict, the reason, the figures, and draws both', async () => {
    await openSampleJob();
    const pair = await render(PairCheck, { a: 'orb6 m', b: 'orb6 f' });
    expect(pair.find('.g-verdict').textContent).toContain('Seals');
    expect(pair.text()).toContain('1 O-ring AS568-906');
    expect(pair.text()).toMatch(/18–21\sN·m\s+where either is aluminium or brass, or not said/);
    expect(pair.text()).toMatch(/30–35\sN·m\s+steel or iron into steel or iron/);
    expect(pair.all('figure')).toHaveLength(2);
    await pair.press('button', 'Swap');
    expect(pair.find('.g-verdict').textContent).toContain('Seals');
  });

  it('tells the compounds of a ring, and the sealant of a taper by its place', async () => {
    await openSampleJob();
    const ring = await render(PairCheck, { a: 'orb6 m', b: 'orb6 f' });
    const rows = ring.all('.g-table tbody tr').map((r) => r.textContent.replace(/\s+/g, ' '));
    expect(rows.find((r) => r.includes('EPDM'))).toContain('never');
    expect(rows.find((r) => r.includes('(FKM)'))).toMatch(/−20 to 200/);
    const taper = await render(PairCheck, { a: 'r 1/8 m', b: 'rc 1/8 f' });
    expect(taper.find('caption').textContent).toContain('Sealant by place');
    expect(taper.text()).toContain('PTFE tape, two turns');
    expect(taper.text()).toContain('turbo feed');
    const flare = await render(PairCheck, { a: 'an8 m', b: 'an8 f swivel' });
    expect(flare.all('.g-table')).toHaveLength(0);
    expect(flare.text()).toContain('FAA AC 43.13-1B');
  });

  it('says which ring lies in a groove, and checks one in hand the same way', async () => {
    await openSampleJob();
    const pair = await render(PairCheck, { a: 'post m20x1.5 f 62x71x2.7', b: 'post m20x1.5 m 56x84' });
    const ring = (): string => pair.find('g-ring-check').textContent.replace(/\s+/g, ' ');
    expect(ring()).toMatch(
      /O-ring FKM AS568-230 slack by 2 %, squeezed by 24 %, fills 81 % of the groove; FKM bears engine oil up to 200 °C/,
    );
    await pair.type('Inside diameter', '61');
    await pair.type('Cord', '3');
    expect(ring()).toMatch(/Does not do: its cord is squeezed by 10 % only/);
    await pair.type('Cord', '3.5');
    expect(ring()).toMatch(/Seals: stretched by 2 %.*Make sure of its compound/);
    await pair.choose('Made of', 'ethylene propylene (EPDM)');
    expect(ring()).toMatch(/engine oil takes it apart/);
    await pair.choose('It meets', 'alcohol fuel');
    expect(ring()).toMatch(/EPDM bears alcohol fuel|No ring of the catalogue/);
    const flare = await render(PairCheck, { a: 'an8 m', b: 'an8 f swivel' });
    expect(flare.all('g-ring-check')).toHaveLength(0);
  });

  it('follows what is typed, holds the pair in the address, and waits while one cannot be read', async () => {
    await openSampleJob();
    const navigate = jest.spyOn(TestBed.inject(Router), 'navigate');
    const pair = await render(PairCheck);
    expect(pair.find('.g-verdict').textContent).toContain('Screws in and leaks');
    await pair.typeNotation('m14x1.5 m washer');
    expect(pair.find('.g-verdict').textContent).toContain('Does not join');
    expect(pair.text()).toMatch(/binds after 3.4 turns/);
    expect(navigate).toHaveBeenLastCalledWith([], expect.objectContaining({ queryParams: { a: 'm14x1.5 m washer', b: 'orb6 f' } }));
    await pair.typeNotation('m14x1.5 m washe');
    expect(pair.text()).toContain('Two connectors, one verdict');
  });
});

describe('what joins what', () => {
  it('sets males against females round a size, and opens a cell', async () => {
    await openSampleJob();
    const matrix = await render(Matrix, { size: '9/16-18 UNF' });
    expect(matrix.text()).toMatch(/\d+ seal, \d+ screw in and leak, \d+ start and stop/);
    await matrix.press('td button', 'orb6 m into orb6 f: seals');
    expect(matrix.find('aside').textContent).toContain('AS568-906');
    await matrix.press('td button', 'an6 m into orb6 f: leaks');
    expect(matrix.find('aside .g-verdict').textContent).toContain('Leaks');
    expect(matrix.find('aside a').getAttribute('href')).toBe('/bench/pair?a=an6%20m&b=orb6%20f');
  });

  it('is walked with the arrow keys', async () => {
    await openSampleJob();
    const matrix = await render(Matrix, { size: '9/16-18 UNF' });
    const cell = matrix.find('[data-cell="0-0"]');
    cell.focus();
    cell.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: true, cancelable: true }));
    await matrix.stable();
    expect(matrix.find('[data-cell="1-0"]').classList.contains('chosen')).toBe(true);
  });

  it('takes a size it does not know for the usual one', async () => {
    await openSampleJob();
    expect((await render(Matrix, { size: 'banana' })).text()).toContain('an6 m');
  });
});

describe('the drill', () => {
  async function drill() {
    const job = await openSampleJob();
    const view = await render(Drill);
    await view.type('Who is at the bench', 'Ana');
    const begun = view.press('button', 'Begin');
    return { ...job, view, begun };
  }
  const noResults = { asked: 0, right: 0, weak: [] };

  it('asks for a name first', async () => {
    const { http } = await openSampleJob();
    const view = await render(Drill);
    view.find('form.who').dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    await view.stable();
    http.expectNone('/api/drill/next');
    expect(view.find('.g-error').textContent).toContain('Type a name first');
  });

  it('hands a fitting out, takes the answer, and tells what settles a mistake', async () => {
    const { view, begun, request } = await drill();
    view.find('form.who').dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    request('GET', '/api/drill?apprentice=Ana').flush(noResults);
    await settle();
    request('POST', '/api/drill/next').flush({ id: 'f07', seen: 'steel stud', side: 'external' });
    await begun;
    await settle();
    await view.stable();
    expect(view.find('.side h2').textContent).toBe('Steel stud');
    await view.type('Name of the thread', 'banana');
    view.find('.side form').dispatchEvent(new Event('submit', { cancelable: true }));
    await view.stable();
    expect(view.find('.side > .g-error').textContent).toContain('not a thread this app knows');
    await view.type('Name of the thread', '9/16-18');
    view.find('.side form').dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    const sent = request('POST', '/api/drill/answers');
    expect(sent.request.body).toEqual({ apprentice: 'Ana', fitting: 'f07', answer: '9/16-18' });
    sent.flush({ right: false, truth: 'M14×1.5', answer: '9/16-18 UNF', lookAlike: true, howToTell: 'Pitch gauge.' });
    await settle();
    request('GET', '/api/drill?apprentice=Ana').flush({
      asked: 1,
      right: 0,
      weak: [{ truth: 'M14×1.5', answer: '9/16-18 UNF', times: 1, rightSince: 0 }],
    });
    await settle();
    await view.stable();
    expect(view.find('.g-verdict').textContent).toContain('It is M14×1.5');
    expect(view.find('.g-verdict').textContent).toContain('taken for one another');
    expect(view.find('.g-verdict').textContent).toContain('Pitch gauge over 8 threads');
    expect(view.find('.g-table').textContent).toContain('9/16-18 UNF');
    expect(view.find('dl.count').textContent).toContain('0 %');
  });

  it('says when the server does not answer', async () => {
    const { view, request } = await drill();
    view.find('form.who').dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    request('GET', '/api/drill?apprentice=Ana').error(new ProgressEvent('error'));
    await settle();
    await view.stable();
    expect(view.find('.g-error').textContent).toContain('The server does not answer.');
  });
});
