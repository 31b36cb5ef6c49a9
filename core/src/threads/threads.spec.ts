import { fit, parseThread, taperBetween, isTapered, taperEngagement, threadData, threadLibrary, UnknownThreadError } from './index.js';

describe('parseThread', () => {
  it.each([
    ['m14x1.5', 'M14×1.5'],
    ['M 14 × 1,5', 'M14×1.5'],
    ['9/16-18', '9/16-18 UNF'],
    ['9/16-18 UNF', '9/16-18 UNF'],
    ['1 1/16-12', '1 1/16-12 UN'],
    ['NPT 1/8', '1/8-27 NPT'],
    ['1/8-27 NPT', '1/8-27 NPT'],
    ['1 1/4-11.5 npt', '1 1/4-11.5 NPT'],
    ['nptf 1/4', '1/4-18 NPTF'],
    ['1/4-18 NPSM', '1/4-18 NPSM'],
    ['r1/8', 'R 1/8'],
    ['Rc 1/8', 'Rc 1/8'],
    ['rp 3/4', 'Rp 3/4'],
    ['g 5/8', 'G 5/8'],
    ['BSPP 1/2', 'G 1/2'],
    ['m10x1 keg', 'M10×1 keg'],
    ['#10-32', '#10-32 UNF'],
    ['1/2-13', '1/2-13 UNC'],
    ['13/16-20', '13/16-20 UNEF'],
  ])('%s is %s', (text, designation) => expect(parseThread(text).designation).toBe(designation));

  it.each(['', 'M14', 'M2x3', '9/16', '9/16-200', 'NPT 5/8', '1/0-20', 'banana', 'R 5/8', 'M10×1.25 keg'])('refuses "%s"', (text) =>
    expect(() => parseThread(text)).toThrow(UnknownThreadError),
  );
});

describe('fit', () => {
  it('knows a thread made for its hole', () => expect(fit('9/16-18', '9/16-18 UNF').verdict).toBe('same'));

  it('finds that M14×1.5 starts in 9/16-18 and binds after about three turns', () => {
    const found = fit('M14x1.5', '9/16-18');
    expect(found.verdict).toBe('binds');
    expect(found.turnsToBind).toBeGreaterThan(2);
    expect(found.turnsToBind).toBeLessThan(5);
  });

  it('finds that the larger thread does not start the other way round', () => expect(fit('9/16-18', 'M14x1.5').verdict).toBe('no-entry'));

  it('finds an inch filter stud that wobbles into a metric housing', () => expect(fit('3/4-16', 'M20x1.5').verdict).toBe('binds'));

  it('finds 1/4 NPT loose in a 9/16-18 boss: both have 18 threads per inch', () =>
    expect(['binds', 'loose']).toContain(fit('NPT 1/4', '9/16-18').verdict));

  it('takes a taper male into the holes made for it, and wedges it in a parallel one', () => {
    expect(fit('R 1/8', 'Rc 1/8').verdict).toBe('same');
    expect(fit('R 1/8', 'Rp 1/8').verdict).toBe('same');
    expect(fit('M10×1 keg', 'M10×1').verdict).toBe('same');
    expect(fit('1/8-27 NPT', '1/8-27 NPTF').verdict).toBe('same');
    expect(fit('R 1/4', 'G 1/4')).toMatchObject({ verdict: 'binds', bindsBy: 'taper', strips: false });
  });

  it('tells what strips: a few threads carry before the pitch binds', () => {
    expect(fit('M12×1.5', '1/2-20').strips).toBe(true);
    expect(fit('9/16-18', '9/16-18 UNF').strips).toBe(false);
  });

  it('keeps threads of quite another size out', () => {
    expect(fit('M22x1.5', 'M14x1.5').verdict).toBe('no-entry');
    expect(fit('M10x1', 'M22x1.5').verdict).toBe('slides-in');
  });
});

describe('threadData', () => {
  it('drills a metric thread to diameter less pitch', () => expect(threadData('M14×1.5').tapDrillMm).toBe(12.5));
  it('tapers a pipe thread 1 in 16', () => expect(threadData('1/8-27 NPT').taperPerMm).toBe(1 / 16));
});

describe('taper', () => {
  it('goes in by hand to the gauge plane, then by the wrench', () => {
    expect(taperEngagement('1/8-27 NPT')!.byHandTurns).toBeCloseTo(4.36, 2);
    expect(taperEngagement('R 1/2')!.byHandTurns).toBeCloseTo(4.52, 2);
    expect(taperEngagement('2-11.5 NPT')!.byWrenchTurns.high).toBeLessThan(taperEngagement('1/8-27 NPT')!.byWrenchTurns.high);
    expect(taperEngagement('M14×1.5')).toBeUndefined();
  });

  it('is read from two places of the thread', () => {
    expect(isTapered(taperBetween(10.2, 9.7, 8))).toBe(true);
    expect(isTapered(taperBetween(9.99, 9.95, 8))).toBe(false);
    expect(() => taperBetween(10, 9, 0)).toThrow(RangeError);
  });
});

describe('the library', () => {
  it('holds each thread once, from M5 to two and a half inches', () => {
    const names = threadLibrary.map((t) => t.designation);
    expect(new Set(names).size).toBe(names.length);
    expect(names.length).toBeGreaterThan(250);
    expect(names).toEqual(
      expect.arrayContaining(['M5×0.8', 'M48×2', '2 1/2-12 UN', '2-11.5 NPT', 'R 1/16', 'G 2', '1/2-14 NPSM', 'M22×1.5 keg']),
    );
  });
});
