import { TestBed } from '@angular/core/testing';
import { measurableThreads } from '@gewinde/core';
import { openSampleJob, render, settle } from '../../test/open-job';
import { NameThread } from './name-thread';
import { ThreadCard } from './thread-card';
import { Preferences } from '../data/preferences';

const tray = {
  uncertaintyMm: 0.05,
  fittings: [
    { id: 'f01', seen: 'brass plug', side: 'external' },
    { id: 'f02', seen: 'iron boss', side: 'internal' },
  ],
};

async function bench(inputs: Record<string, unknown> = {}) {
  const job = await openSampleJob();
  const view = await render(NameThread, inputs);
  job.request('GET', '/api/calliper/tray').flush(tray);
  await settle();
  await view.stable();
  const names = () => view.all('g-candidate-list .name').map((e) => e.textContent);
  return { ...job, view, names };
}

describe('naming a thread', () => {
  it('teaches what to measure while nothing is', async () => {
    const { view } = await bench();
    expect(view.text()).toContain('What is this thread?');
  });

  it('names it from figures in any unit, likeliest first, with its card', async () => {
    const { view, names } = await bench();
    await view.type('Over the crests', '0.546 in');
    await view.type('Pitch', '1.5');
    expect(names()[0]).toBe('M14×1.5');
    expect(view.text()).toMatch(/diameter −0.13\smm/);
    expect(view.find('g-thread-card h2').textContent).toBe('M14×1.5');
    expect(view.text()).toContain('tap drill12.5');
    await view.press('g-thread-card .alike button', '9/16-18 UNF');
    expect(view.find('g-thread-card h2').textContent).toBe('9/16-18 UNF');
  });

  it('says at the field what cannot be, and keeps what was typed', async () => {
    const { view } = await bench();
    await view.type('Over the crests', '-14');
    expect(view.text()).toContain('cannot be negative');
    await view.type('Over the crests', '14');
    await view.type('or threads per inch', 'many');
    expect(view.text()).toContain('The count per inch is not a number');
    expect((view.find('.count input') as HTMLInputElement).value).toBe('many');
    await view.type('or threads per inch', '18');
    await view.type('Pitch', '1.5');
    expect(view.text()).toMatch(/Pitch and count disagree: 18 per inch is 1.411 mm, not 1.5 mm/);
    await view.type('or threads per inch', '');
    await view.type('Pitch', '1.66');
    expect(view.text()).toMatch(/No thread has a pitch of 1.66 mm .* The nearest are/);
  });

  it('says so when nothing measures like it', async () => {
    const { view } = await bench();
    await view.type('Over the crests', '15.05');
    await view.type('Pitch', '1.5');
    expect(view.text()).toContain('No thread of the library measures so');
  });

  it('names it from known parts tried on it, one after another, and says of each name what would be expected', async () => {
    const { view, names } = await bench();
    globalThis.document.body.append(view.root);
    await view.press('button', 'A trial');
    expect(globalThis.document.activeElement).toBe(view.field('Known nut or hole'));
    expect(view.text()).toContain('What is this thread?');
    await view.type('Known nut or hole', 'M20×1.5');
    await view.choose('By hand it', 'goes on and rocks');
    expect(names()[0]).toBe('3/4-16 UNF');
    expect(view.find('g-candidate-list li').textContent).toContain('as tried');
    expect(view.all('g-candidate-list li').map((li) => li.textContent)).toContainEqual(
      expect.stringMatching(/M20×1.5 would (bind|slip over it|not start|run)/),
    );
    await view.choose('By hand it', 'binds');
    await view.type('after turns', 'some');
    expect(view.find('.trial [role=alert]').textContent).toContain('Count by hand, without a wrench');
    expect(view.text()).toContain('The names come when');
    await view.type('after turns', '0,5');
    expect(names()).toContain('M20×2');
    const again = await render(NameThread);
    expect(again.field('after turns').value).toBe('0.5');
    await again.press('button', 'Take trial 1 away');
    expect(again.text()).toContain('What is this thread?');
    view.root.remove();
  });

  it('says at a trial what cannot be; one that is only begun does not count', async () => {
    const { view, names } = await bench({ side: 'internal' });
    await view.press('button', 'A trial');
    await view.press('button', 'Another trial');
    const fields = view.all('.known input') as HTMLInputElement[];
    for (const [kind, value] of [
      ['input', 'Rc 1/8'],
      ['blur', ''],
    ] as const) {
      if (value) fields[1]!.value = value;
      fields[1]!.dispatchEvent(new Event(kind));
    }
    await view.stable();
    expect(view.all('.trial')[1]!.textContent).toContain('Rc 1/8 is always an inside thread');
    expect(view.all('.trial [role=alert]')).toHaveLength(1);
    await view.press('button', 'Take trial 2 away');
    expect([view.all('.trial').length, names()]).toEqual([1, []]);
  });

  it('reads the taper from two places', async () => {
    const { view, names } = await bench();
    await view.type('front', '9.7');
    await view.type('back', '9.95');
    expect(view.text()).toContain('1 in 16: tapered');
    await view.type('or threads per inch', '28');
    expect(names()[0]).toBe('R 1/8');
  });

  it('tells a tie with the test that settles it, and says what it expects and why; that can be switched off', async () => {
    const { view, names } = await bench();
    await view.type('Over the crests', '20.9');
    await view.type('or threads per inch', '14');
    await view.press('button', 'tapered');
    expect(view.find('.tie').textContent).toMatch(/Not settled: .*55° flanks/);
    expect(view.find('details.score').textContent).toContain('37° flares and O-ring bosses');
    const before = names().length;
    view.find('.weigh input').dispatchEvent(new Event('change'));
    (view.find('.weigh input') as HTMLInputElement).checked = false;
    view.find('.weigh input').dispatchEvent(new Event('change'));
    await view.stable();
    expect(view.find('details.score').textContent).toContain('count alike');
    expect(names().length).toBeGreaterThanOrEqual(before);
  });

  it('keeps the figures over a reload', async () => {
    const { view } = await bench();
    await view.type('Over the crests', '19.9');
    await view.press('button', 'Inside thread');
    const again = await render(NameThread);
    expect((again.find('g-quantity-input input') as HTMLInputElement).value).toBe('19.9\u2009mm');
    expect(again.find('button', 'Inside thread').getAttribute('aria-pressed')).toBe('true');
    await again.press('button', 'Clear the figures');
    expect((again.find('g-quantity-input input') as HTMLInputElement).value).toBe('');
  });

  it('takes readings off the calliper, and counts several by their middle', async () => {
    const { view, request, names } = await bench();
    await view.choose('Fitting from the mystery tray', '01 · brass plug, outside');
    for (const mm of [13.87, 13.99, 13.88]) {
      const reading = view.press('button', 'Take a reading');
      const sent = request('POST', '/api/calliper/readings');
      expect(sent.request.body).toEqual({ fitting: 'f01', jaws: 'outside', place: 'crest' });
      sent.flush({ mm, place: 'crest' });
      await reading;
    }
    await view.stable();
    expect(view.text()).toMatch(/Middle of 3: 13.88/);
    await view.press('button', 'pitch');
    const reading = view.press('button', 'Take a reading');
    request('POST', '/api/calliper/readings').flush({ mm: 12.01, place: 'span', pitches: 8 });
    await reading;
    await view.stable();
    expect(view.text()).toMatch(/Over 8 pitches: 1.501/);
    expect(names()[0]).toBe('M14×1.5');
  });

  it('sets the jaws to the fitting, and shows what the calliper refuses', async () => {
    const { view, request } = await bench();
    await view.choose('Fitting from the mystery tray', '02 · iron boss, inside');
    expect(view.find('button', 'inside jaws').getAttribute('aria-pressed')).toBe('true');
    expect(view.find('button', 'Inside thread').getAttribute('aria-pressed')).toBe('true');
    await view.press('button', 'outside jaws');
    const reading = view.press('button', 'Take a reading');
    request('POST', '/api/calliper/readings').flush(
      { code: 'wrong-jaws', message: 'Take the inside ones.' },
      { status: 400, statusText: 'jaws' },
    );
    await reading;
    await view.stable();
    expect(view.find('g-calliper-panel .g-error').textContent).toContain('Take the inside ones.');
  });

  it('looks a thread up by its name, and says when it knows none', async () => {
    const { view } = await bench();
    await view.type('Look up a thread by name', 'rc 1/8');
    expect(view.find('g-thread-card h2').textContent).toBe('Rc 1/8');
    await view.type('Look up a thread by name', 'banana');
    expect(view.find('.names > .g-error').textContent).toContain('is not a thread this app knows');
  });

  it('keeps the figures of each port apart', async () => {
    const { view } = await bench();
    await view.type('Over the crests', '19.9');
    const field = (v: typeof view) => (v.find('g-quantity-input input') as HTMLInputElement).value;
    const port = await render(NameThread, { usable: true, side: 'internal', place: 'block.new' });
    expect(field(port)).toBe('');
    await port.type('Across the hole', '12.5');
    expect(field(await render(NameThread, { usable: true, place: 'turbo.new' }))).toBe('');
    expect(field(await render(NameThread, { usable: true, place: 'block.new' }))).toBe('12.5\u2009mm');
    expect(field(await render(NameThread))).toBe('19.9\u2009mm');
  });

  it('fills the port it was opened for', async () => {
    const { view } = await bench({ usable: true, side: 'internal' });
    const used: unknown[] = [];
    view.fixture.componentInstance.use.subscribe((c) => used.push(c));
    await view.type('Across the hole', '12.5');
    await view.type('Pitch', '1.5');
    await view.press('g-thread-card .uses button', 'm14x1.5 f washer');
    expect(used).toEqual([{ family: 'metric', size: 'M14x1.5', gender: 'female', seat: 'washer' }]);
  });
});

describe('the calliper, live', () => {
  /** The stream as the browser gives it, played by the test. */
  class Stream {
    static last: Stream;
    readonly heard = new Map<string, (event: { data: string }) => void>();
    closed = false;
    constructor(readonly url: string) {
      Stream.last = this;
    }
    addEventListener(name: string, on: (event: { data: string }) => void): void {
      this.heard.set(name, on);
    }
    close(): void {
      this.closed = true;
    }
  }

  it('takes what it sends until it is stopped, and says when it does not answer', async () => {
    const { view } = await bench();
    const real = globalThis.EventSource;
    globalThis.EventSource = Stream as never;
    try {
      await view.choose('Fitting from the mystery tray', '01 · brass plug, outside');
      await view.press('button', 'Live');
      expect(Stream.last.url).toBe('/api/calliper/live?fitting=f01&jaws=outside&place=crest');
      Stream.last.heard.get('reading')!({ data: JSON.stringify({ mm: 9.66, place: 'crest' }) });
      await view.stable();
      expect(view.find('output').textContent).toMatch(/9\.66\smm/);
      expect((view.find('g-quantity-input input') as HTMLInputElement).value).toMatch(/^9\.66/);
      await view.press('button', 'Stop');
      expect(Stream.last.closed).toBe(true);
      await view.press('button', 'Live');
      Stream.last.heard.get('error')!({ data: '' });
      await view.stable();
      expect(view.find('g-calliper-panel .g-error').textContent).toContain('The calliper does not answer.');
      expect(view.find('button', 'Live').getAttribute('aria-pressed')).toBe('false');
      await view.press('button', 'Live');
      Stream.last.heard.get('off')!({ data: '{}' });
      await view.stable();
      expect(view.all('g-calliper-panel .g-error')).toHaveLength(0);
      expect(view.find('button', 'Live').getAttribute('aria-pressed')).toBe('false');
    } finally {
      globalThis.EventSource = real;
    }
  });
});

describe('the map on the bench', () => {
  it('moves by keys and buttons, hides a system, and boxes the measurement', async () => {
    const { view } = await bench();
    expect(view.all('svg.sheet .box')).toHaveLength(0);
    const count = () => view.all('svg.sheet .stroke').length;
    const whole = count();
    await view.press('button', 'inch');
    expect(count()).toBeLessThan(whole);
    await view.press('button', 'inch');
    await view.press('button', 'Zoom in');
    expect(count()).toBeLessThan(whole);
    await view.press('button', 'All');
    expect(count()).toBe(whole);
    const sheet = view.find('svg.sheet');
    for (const key of ['+', 'ArrowRight', 'ArrowLeft', '-', '0'])
      sheet.dispatchEvent(new KeyboardEvent('keydown', { key, cancelable: true }));
    await view.stable();
    expect(count()).toBe(whole);
    await view.type('Over the crests', '13.87');
    expect(view.all('svg.sheet .box')).toHaveLength(1);
    expect(view.all('svg.sheet .ring').length).toBeGreaterThan(2);
    expect(view.all('svg.sheet .arc').length).toBeGreaterThan(2);
    expect(view.find('svg.sheet').getAttribute('aria-label')).toContain('Measured 13.87 mm');
    const counted = () => view.all('svg.sheet text.mm').map((t) => t.textContent);
    expect(counted()).toContain('14');
    TestBed.inject(Preferences).system.set('inch');
    await view.stable();
    expect(counted()).toContain('9/16');
    expect(view.find('svg.sheet').getAttribute('aria-label')).toContain('Measured 0.546 in');
    TestBed.inject(Preferences).system.set('metric');
  });

  it('picks the thread whose stroke is struck, twins in turn', async () => {
    const { view } = await bench();
    await view.type('Over the crests', '9.7');
    const strike = (name: string) => {
      const stroke = view.all('svg.sheet .stroke').find((g) => g.querySelector('title')?.textContent === name)!;
      stroke.dispatchEvent(new MouseEvent('click', { bubbles: true }));
      return view.stable();
    };
    await strike('M10×1');
    expect(view.find('g-thread-card h2').textContent).toBe('M10×1');
    await strike('M10×1');
    expect(view.find('g-thread-card h2').textContent).toBe('M10×1 keg');
  });
});

describe('the card', () => {
  it('is whole for every thread of the library, on either side', async () => {
    await openSampleJob();
    const card = await render(ThreadCard, { designation: 'M14×1.5', side: 'external' });
    for (const side of ['external', 'internal'] as const)
      for (const thread of measurableThreads(side).filter((_, i) => i % 6 === 0)) {
        card.fixture.componentRef.setInput('side', side);
        card.fixture.componentRef.setInput('designation', thread.designation);
        await card.stable();
        expect(card.find('h2').textContent).toBe(thread.designation);
        expect(card.all('dl > div').length).toBeGreaterThanOrEqual(4);
        expect(card.text()).not.toMatch(/NaN|undefined/);
      }
  });

  it('says how a taper goes in, and where the thread is met', async () => {
    await openSampleJob();
    const card = await render(ThreadCard, { designation: '1/8-27 NPT', side: 'external', system: 'inch' });
    expect(card.text()).toContain('4.4 turns by hand, 2 to 3 by wrench');
    expect(card.text()).toContain('or 1/8-27 NPTF');
    expect(card.text()).toContain('American taper pipe:');
    expect(card.text()).toMatch(/major 0.40\d\d\sin/);
  });
});
