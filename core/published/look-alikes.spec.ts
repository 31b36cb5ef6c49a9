import { areLookAlikes, fit, mate, nptSizes, parseConnector, parseThread } from '../src/index.js';

const alike = (a: string, b: string): boolean => areLookAlikes(parseThread(a), parseThread(b));

describe('look-alikes every shop meets (common practice) are found by computing the fit', () => {
  it.each([
    ['M20×1.5', '3/4-16'],
    ['M22×1.5', '13/16-16'],
    ['M22×1.5', '7/8-14'],
    ['M18×1.5', '11/16-16'],
    ['M14×1.5', '9/16-18'],
    ['M14×1.5', 'G 1/4'],
    ['M14×1.5', 'NPT 1/4'],
    ['M12×1.5', '1/2-20'],
    ['M12×1.5', 'M12×1.25'],
    ['M10×1', 'NPT 1/8'],
    ['M10×1', 'R 1/8'],
    ['M10×1', '3/8-24'],
    ['M16×1.5', '5/8-18'],
    ['M26×1.5', '1 1/16-12'],
    ['M27×2', '1 1/16-12'],
    ['M33×2', '1 5/16-12'],
  ])('%s and %s', (a, b) => expect(alike(a, b)).toBe(true));

  it.each(nptSizes.map(({ size }) => size))('pipe size %s: NPT, NPSM, R and G', (size) => {
    expect(alike(`NPT ${size}`, `R ${size}`)).toBe(true);
    expect(alike(`G ${size}`, `R ${size}`)).toBe(true);
    expect(alike(`NPT ${size}`, `NPSM ${size}`)).toBe(true);
  });

  it('1/2 and 3/4 pipe share 14 per inch and almost enter; 1/8 differs by 0.5 mm and a thread per inch', () => {
    expect(fit('R 1/2', 'NPT 1/2').bindsBy).toBe('taper');
    expect(fit('R 3/4', 'NPT 3/4').bindsBy).toBe('taper');
    expect(fit('R 1/8', 'NPT 1/8').bindsBy).toBe('pitch');
    expect(fit('NPT 1/8', 'Rc 1/8').verdict).toBe('no-entry');
  });

  it.each(['2', '3', '4', '5', '8', '10'])('37° and 45° flare -%s share a thread and do not seal', (dash) => {
    expect(mate(parseConnector(`an${dash} m`), parseConnector(`sae45-${dash} f`)).outcome).toBe('leaks');
    expect(mate(parseConnector(`sae45-${dash} m`), parseConnector(`an${dash} f`)).outcome).toBe('leaks');
  });

  it('does not call strangers alike', () => {
    for (const [a, b] of [
      ['M14×1.5', 'M20×1.5'],
      ['M10×1', 'G 1/2'],
      ['1/4-20', 'M12×1.5'],
      ['NPT 1/8', 'NPT 1/4'],
    ] as const)
      expect(alike(a, b)).toBe(false);
  });
});
