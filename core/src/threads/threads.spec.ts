import { fitThreads, parseThread, threadData, UnknownThreadError } from './index.js';

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
  ])('%s is %s', (text, designation) => expect(parseThread(text).designation).toBe(designation));

  it.each(['', 'M14', 'M2x3', '9/16', '9/16-200', 'NPT 5/8', '1/0-20', 'banana'])('refuses "%s"', (text) =>
    expect(() => parseThread(text)).toThrow(UnknownThreadError),
  );
});

describe('fitThreads', () => {
  const fit = (a: string, b: string) => fitThreads(parseThread(a), parseThread(b));

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

  it('keeps threads of quite another size out', () => {
    expect(fit('M22x1.5', 'M14x1.5').verdict).toBe('no-entry');
    expect(fit('M10x1', 'M22x1.5').verdict).toBe('slides-in');
  });
});

describe('threadData', () => {
  it('drills a metric thread to diameter less pitch', () => expect(threadData('M14×1.5').tapDrillMm).toBe(12.5));
  it('tapers a pipe thread 1 in 16', () => expect(threadData('1/8-27 NPT').taperPerMm).toBe(1 / 16));
});
