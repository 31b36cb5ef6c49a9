import fc from 'fast-check';
import { ConnectorSyntaxError, formatConnector, parseConnector } from './index.js';
import { PART_WORDS, VOCABULARY } from './vocabulary.js';

const refusal = (text: string): ConnectorSyntaxError => {
  try {
    parseConnector(text);
  } catch (error) {
    if (error instanceof ConnectorSyntaxError) return error;
    throw error;
  }
  throw new Error(`"${text}" was read as ${formatConnector(parseConnector(text))}`);
};

describe('what shops write and say', () => {
  it.each([
    ['6 AN male flare', 'an6 m'],
    ['-6 an flare male', 'an6 m'],
    ['37° flare 6 m', 'an6 m'],
    ['37 flare 6 m', 'an6 m'],
    ['37 deg. flare -6 f swivel', 'an6 f swivel'],
    ['flare 37 -8 m', 'an8 m'],
    ['#6 f swivel', 'an6 f swivel'],
    ['dash 6 an m', 'an6 m'],
    ['AN6 (m)', 'an6 m'],
    ['an6 m.', 'an6 m'],
    ['3/4-16 jic m', 'an8 m'],
    ['7/16-20 UNF JIC male', 'an4 m'],
    ['45 flare 3/8 m', 'sae45-6 m'],
    ['flare 45 3/8 f', 'sae45-6 f'],
    ['3/8 SAE flare m', 'sae45-6 m'],
    ['sae 45° flare -4 m', 'sae45-4 m'],
    ['7/8-14 ORB f', 'orb10 f'],
    ['SAE-10 ORB f', 'orb10 f'],
    ['O.R.B. 8 m', 'orb8 m'],
    ['an 6 ORB f', 'orb6 f'],
    ['-10 o-ring boss f', 'orb10 f'],
    ['9/16-18 o-ring f', 'orb6 f'],
    ['3/4-16 UNF-2B o-ring port female', 'orb8 f'],
    ['3/8 hose barb', 'barb 3/8'],
    ['10mm hose barb', 'barb 10mm'],
    ['barb 19', 'barb 19mm'],
    ['push-on 3/8', 'barb 3/8'],
    ['3/4 heater hose', 'hose 3/4'],
    ['beaded 3/4', 'bead 3/4'],
    ['beaded tube 1 1/4', 'bead 1 1/4'],
    ['inverted flare 3/16 f', 'inverted 3/16 f'],
    ['dry break an10 f', 'drybreak an10 f'],
    ['quick connect 3/8 m', 'qc 3/8 m'],
    ['9/16-18 UNF-2B f washer', '9/16-18 f washer'],
    ['9/16-18 unf f washer', '9/16-18 f washer'],
    ['1/2-13 UNC m washer', '1/2-13 m washer'],
    ['9/16 18 f washer', '9/16-18 f washer'],
    ['1-1/16-12 f washer', '1 1/16-12 f washer'],
    ['m14x1.5-6H f washer', 'm14x1.5 f washer'],
    ['m14-1.5 f washer', 'm14x1.5 f washer'],
    ['M14 1.5 m washer', 'm14x1.5 m washer'],
    ['18x1.5 f washer', 'm18x1.5 f washer'],
    ['M18x1.5 f crush washer', 'm18x1.5 f washer'],
    ['m22x1.5 ISO 6149 f', 'm22x1.5 f oring'],
    ['M22x1.5 ORB f', 'm22x1.5 f oring'],
    ['m16x1.5 iso 9974 f', 'm16x1.5 f washer'],
    ['M16x1.5 10L m', 'cone24 m16x1.5 m 10l'],
    ['24° cone m16x1.5 m 10l', 'cone24 m16x1.5 m 10l'],
    ['m18x1.5 m captive ring', 'm18x1.5 m captive'],
    ['g 1/4 m type e', 'g 1/4 m captive'],
    ['m10x1 taper male', 'keg m10x1 m'],
    ['½ npt f', 'npt 1/2 f'],
    ['1 ½ npt f', 'npt 1 1/2 f'],
    ['0.25 npt f', 'npt 1/4 f'],
    ['1/4 internal npt', 'npt 1/4 f'],
    ['1/4 npt ext', 'npt 1/4 m'],
    ['1/4-18 NPT female', 'npt 1/4 f'],
    ['mpt 3/8', 'npt 3/8 m'],
    ['3/8 FNPT', 'npt 3/8 f'],
    ['PT 1/8 m', 'r 1/8 m'],
    ['pt 1/8 f', 'rc 1/8 f'],
    ['pf 1/2 m washer', 'g 1/2 m washer'],
    ['1/2 BSP male cone', 'g 1/2 m cone'],
    ['1/4 bsp swivel', 'g 1/4 f swivel'],
    ['1/8 bsp taper m', 'r 1/8 m'],
    ['1/8 bsp parallel f', 'g 1/8 f'],
    ['r 1/4 m cone', 'r 1/4 m cone'],
    ['1/2 npt weld bung f', 'bung npt 1/2 f'],
    ['-10 an weld bung m', 'bung an10 m'],
    ['8 ORFS m', 'orfs8 m'],
    ['JIS 1/4 m', 'jis 1/4 m'],
    ['flange 2x38 m6 bore 14', 'flange 2x38 m6 bore14 f'],
    ['m14x1.5 m 60° cone', 'cone60 m14x1.5 m'],
    ['m16x1.5 60° cone f swivel', 'cone60 m16x1.5 f swivel'],
    ['plain tube 8 mm m', 'compression 8mm m'],
    ['drilled hole 20 mm f', 'stub 20mm f'],
    ['25 mm grommet m', 'stub 25mm m grommet'],
    ['m42x4 f', 'm42x4 f'],
    ['orb8 m swivel', 'orb8 m swivel'],
    ['9/16-18 flare m', 'an6 m'],
    ['5/8-18 flare m', 'sae45-6 m'],
    ['dash 8 hose', 'hose 1/2'],
    ['dash 4 hose barb', 'barb 1/4'],
    ['size 6 an m', 'an6 m'],
    ['hose 12.7', 'hose 1/2'],
    ['ø8 hose', 'hose 8mm'],
    ['φ16 barb', 'barb 16mm'],
    ['barb 20mm', 'barb 20mm'],
    ['1/2 unc f washer', '1/2-13 f washer'],
    ['3/4 UNF m washer', '3/4-16 m washer'],
    ['3/4 unf orb f', 'orb8 f'],
    ['1⅛-12 f washer', '1 1/8-12 f washer'],
    ['3/8"-18 NPT f', 'npt 3/8 f'],
    ['.125 npt m', 'npt 1/8 m'],
    ['1/8 inch npt f', 'npt 1/8 f'],
    ['1/8-27 f', 'npt 1/8 f'],
    ['1/4 NPTM', 'npt 1/4 m'],
    ['1/4 nptf m', 'nptf 1/4 m'],
    ['an6-m', 'an6 m'],
    ['MJ 6', 'an6 m'],
    ['FJX 8', 'an8 f swivel'],
    ['MORB 10', 'orb10 m'],
    ['MBSPP 1/4 washer', 'g 1/4 m washer'],
    ['M14xP1.5 f washer', 'm14x1.5 f washer'],
    ['14mm x 1.5 f washer', 'm14x1.5 f washer'],
    ['m11x1 f washer', 'm11x1 f washer'],
    ['7/16-24 f washer', '7/16-24 f washer'],
    ['m10x1 tapered', 'keg m10x1 m'],
    ['m12x1.5 AG kegelig', 'keg m12x1.5 m'],
    ['M14x1.5 IG Form A', 'm14x1.5 f washer'],
    ['G 1/4 Zoll AG Form E', 'g 1/4 m captive'],
    ['G1/4A washer', 'g 1/4 m washer'],
    ['9/16-18 UNF-2A washer', '9/16-18 m washer'],
    ['m14x1.5-6g washer', 'm14x1.5 m washer'],
    ['3/4-16 oil filter m', 'post 3/4-16 m'],
    ['filter m20x1.5 f', 'post m20x1.5 f'],
    ['post 3/4-16 m bolt', 'post 3/4-16 m bolt'],
    ['flange m8 2 x 44 bore 20 m', 'flange 2x44 m8 bore20 m'],
  ])('%s is %s', (text, written) => {
    expect(formatConnector(parseConnector(text))).toBe(written);
    expect(parseConnector(written)).toEqual(parseConnector(text));
  });

  it.each([
    ['1/8 bsp f', ['rc 1/8 f', 'g 1/8 f']],
    ['1/8 bsp', ['rc 1/8 f', 'g 1/8 f', 'r 1/8 m', 'g 1/8 m washer']],
    ['bsp 1/4 m', ['r 1/4 m', 'g 1/4 m washer']],
    ['1/8 f', ['npt 1/8 f', 'rc 1/8 f', 'g 1/8 f', 'hose 1/8']],
    ['1/4', ['npt 1/4 f', 'npt 1/4 m', 'rc 1/4 f', 'r 1/4 m', 'g 1/4 f', 'g 1/4 m washer', 'barb 1/4', 'hose 1/4']],
    ['1/8-28 npt m', ['rc 1/8 f', 'r 1/8 m', 'g 1/8 f', 'g 1/8 m washer']],
    ['1/4-18 bspt m', ['npt 1/4 f', 'npt 1/4 m']],
    ['1/8-28 f', ['rc 1/8 f', 'g 1/8 f']],
    ['1/4 BSPM', ['r 1/4 m', 'g 1/4 m washer']],
    ['BSPF 1/4', ['rc 1/4 f', 'g 1/4 f']],
    ['mbsp 1/2', ['r 1/2 m', 'g 1/2 m washer']],
    ['1/4 pipe f', ['npt 1/4 f', 'rc 1/4 f', 'g 1/4 f']],
    ['3/8 flare m', ['an6 m', 'sae45-6 m']],
    ['7/16-20 flare', ['an4 f', 'an4 m', 'sae45-4 f', 'sae45-4 m']],
    ['-6 m', ['an6 m', 'orb6 m', 'sae45-6 m']],
    ['SAE 10', ['orb10 f', 'orb10 m', 'sae45-10 f', 'sae45-10 m']],
  ])('%s can be more than one thing, and asks', (text, choices) => {
    const { choices: offered, suggestion } = refusal(text);
    expect(offered).toEqual(choices);
    expect(suggestion).toBeUndefined();
    for (const choice of offered) expect(formatConnector(parseConnector(choice))).toBe(choice);
  });

  it.each([
    ['M18x1.5 crush washer', 'm18x1.5 f washer'],
    ['9/16-18 o-ring', 'orb6 f'],
    ['M16x1.5 10L', 'cone24 m16x1.5 f 10l'],
    ['1/2 npt weld bung', 'bung npt 1/2 f'],
    ['-10 an weld bung', 'bung an10 f'],
    ['1/2 pf', 'g 1/2 f'],
    ['8 ORFS', 'orfs8 f'],
    ['m14x1.5 captive ring', 'm14x1.5 m captive'],
  ])('%s lacks its gender only: no word of it is dropped from what is offered', (text, suggestion) =>
    expect(refusal(text)).toMatchObject({ suggestion }),
  );

  it.each(['nps 1/4 f', 'jix 6 m', 'npsl 1/2 f', 'bsf 1/4 m', 'anx 6 m', 'ghp 1/2 f', 'rx 1/8 f'])(
    'offers no other thread as a near spelling: %s',
    (text) => expect(refusal(text).suggestion).toBeUndefined(),
  );

  it.each([
    ['ntp 1/8 f', 'npt 1/8 f'],
    ['nptt 1/8 f', 'npt 1/8 f'],
    ['bango m12x1.5', 'banjo m12x1.5'],
    ['m14x1.5 f wahser', 'm14x1.5 f washer'],
  ])('mends a slip: %s', (text, suggestion) => expect(refusal(text)).toMatchObject({ suggestion }));

  it.each(['turbo 6 m', 'lock 6 m', 'pine 1/4 f'])('offers nothing that is two letters off: %s', (text) =>
    expect(refusal(text).suggestion).toBeUndefined(),
  );

  it.each(['elbow', 'tee an6', 'plug npt 1/4', '90 elbow an8 m', 'adapter m14x1.5 to an6'])(
    'sends the name of a part to the store: %s',
    (text) => {
      const { part, message } = refusal(text);
      expect(part).toBeDefined();
      expect(message).toMatch(/is a part, not an end/);
    },
  );

  it.each([
    ['npt 1/8 f oring', /no "oring"|has no/],
    ['an6 m washer', /has no "washer"/],
    ['npt straight 1/4 f', /tapered/],
    ['g taper 1/4 m', /parallel/],
    ['m14x1.5 9/16-18 f', /Two sizes/],
    ['5/8-14 jic m', /No 37° flare has the thread 5\/8-14/],
    ['3/4-16 npt m', /has 14 threads an inch, not 16/],
    ['m14x1.5-6g f washer', /Male and female/],
    ['an6 m filter', /is a part/],
    ['m10x1 taper f', /only outside/],
    ['unf an6 m', /A series of inch threads/],
  ])('drops no word in silence: %s', (text, message) => expect(refusal(text).message).toMatch(message));

  const SIZES = '6 -8 #10 1/8 1/4-18 3/4-16 9/16-18 m14x1.5 m20x1.5 10mm 2x44 1_1/16-12 0.25 m16x1.5-6H 62x71'
    .split(' ')
    .map((s) => s.replace('_', ' '));
  /** Every figure of a text as a number: fractions, decimals, thread counts and pitches by themselves. */
  const figuresOf = (text: string): number[] =>
    [...text.matchAll(/(?:(\d+)[ -])?(\d+)\/(\d+)|\d+(?:[.,]\d+)?/g)].map(([all, whole, top, bottom]) =>
      bottom === undefined ? Number(all.replace(',', '.')) : Number(whole ?? 0) + Number(top) / Number(bottom),
    );

  it('reads no figure and no sex that was not said, and drops neither (property)', () => {
    const words = fc.array(fc.constantFrom(...VOCABULARY, ...PART_WORDS, 'bsp', 'sae', 'unf', 'pipe', 'filter', 'MJ', 'AG'), {
      maxLength: 3,
    });
    let read = 0;
    fc.assert(
      fc.property(words, fc.constantFrom(...SIZES), fc.nat(3), fc.constantFrom('', 'm', 'f'), (said, size, at, sex) => {
        const text = [...said.slice(0, at), size, ...said.slice(at), sex].join(' ').trim();
        let got;
        try {
          got = parseConnector(text);
        } catch (error) {
          expect(error).toBeInstanceOf(ConnectorSyntaxError);
          return;
        }
        read++;
        const written = formatConnector(got);
        expect(parseConnector(written)).toEqual(got);
        if (sex) expect([text, got.gender]).toEqual([text, sex === 'm' ? 'male' : 'female']);
        // a dash size stands for its thread, a pipe for its count, a bore in sixteenths for its fraction
        const thread = /-(\d+(?:\.5)?)/.exec(size)?.[1];
        const named = figuresOf(written);
        const wanted = figuresOf(size.replace(/-6H/, '').replace(/^[-#]/, ''));
        const same = (figure: number): boolean =>
          named.some((n) => Math.abs(n - figure) < 1e-9 || Math.abs(n * 16 - figure) < 1e-9 || Math.abs(n / 16 - figure) < 1e-9) ||
          (thread !== undefined &&
            ['flare37', 'flare45', 'orb', 'orfs', 'npt', 'nptf', 'npsm', 'inverted', 'bulkhead', 'drybreak', 'bung'].includes(got.family));
        for (const figure of wanted) expect([text, written, figure, same(figure)]).toEqual([text, written, figure, true]);
      }),
      { numRuns: 1500 },
    );
    expect(read).toBeGreaterThan(50);
  });
});
