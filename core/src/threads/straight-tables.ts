/** Pitches by diameter that the trade meets from M5 to M52, coarse pitch first. Source: ISO 261, from memory. */
export const metricPitches: Readonly<Record<number, readonly number[]>> = {
  5: [0.8, 0.5],
  6: [1, 0.75],
  8: [1.25, 1, 0.75],
  10: [1.5, 1.25, 1, 0.75],
  12: [1.75, 1.5, 1.25, 1],
  14: [2, 1.5, 1.25, 1],
  16: [2, 1.5, 1],
  18: [2.5, 2, 1.5, 1],
  20: [2.5, 2, 1.5, 1],
  22: [2.5, 2, 1.5, 1],
  24: [3, 2, 1.5, 1],
  26: [1.5],
  27: [3, 2, 1.5],
  28: [1.5],
  30: [3.5, 2, 1.5],
  33: [3.5, 2, 1.5],
  36: [4, 3, 2, 1.5],
  38: [1.5],
  39: [4, 3, 2],
  40: [1.5],
  42: [4.5, 3, 2, 1.5],
  45: [4.5, 3, 2, 1.5],
  48: [5, 3, 2, 1.5],
  52: [5, 2, 1.5],
};

/** Unified sizes by series: diameter and threads per inch. Source: ASME B1.1, from memory; UN holds the constant-pitch 12 and 16 series. */
export const unifiedSeries: Readonly<Record<'UNC' | 'UNF' | 'UNEF' | 'UN' | 'UNS', readonly string[]>> = {
  UNC: (
    '#10-24 1/4-20 5/16-18 3/8-16 7/16-14 1/2-13 9/16-12 5/8-11 3/4-10 7/8-9 1-8 1_1/8-7 1_1/4-7 1_3/8-6 1_1/2-6 1_3/4-5 2-4.5 ' +
    '2_1/4-4.5 2_1/2-4'
  ).split(' '),
  UNF: '#10-32 1/4-28 5/16-24 3/8-24 7/16-20 1/2-20 9/16-18 5/8-18 3/4-16 7/8-14 1-12 1_1/8-12 1_1/4-12 1_3/8-12 1_1/2-12'.split(' '),
  UNEF: (
    '1/4-32 5/16-32 3/8-32 7/16-28 1/2-28 9/16-24 5/8-24 11/16-24 3/4-20 13/16-20 7/8-20 15/16-20 1-20 1_1/16-18 1_1/8-18 1_3/16-18 ' +
    '1_1/4-18 1_5/16-18 1_3/8-18 1_7/16-18 1_1/2-18 1_9/16-18 1_5/8-18 1_11/16-18'
  ).split(' '),
  UN: (
    '11/16-12 11/16-16 3/4-12 13/16-12 13/16-16 7/8-12 7/8-16 15/16-12 15/16-16 1-16 1_1/16-12 1_1/16-16 1_1/8-16 1_3/16-12 1_3/16-16 ' +
    '1_1/4-16 1_5/16-12 1_5/16-16 1_3/8-16 1_7/16-12 1_7/16-16 1_1/2-16 1_9/16-12 1_5/8-12 1_5/8-16 1_11/16-12 1_3/4-12 1_3/4-16 ' +
    '1_13/16-12 1_7/8-12 1_7/8-16 1_15/16-12 2-12 2-16 2_1/8-12 2_1/4-12 2_3/8-12 2_1/2-12'
  ).split(' '),
  UNS: '5/16-28 7/16-24 11/16-18 3/4-18 1-14 1_1/16-14'.split(' '),
};

const series = new Map(
  Object.entries(unifiedSeries).flatMap(([name, sizes]) => sizes.map((size): [string, string] => [size.replace('_', ' '), name])),
);

/** The series a diameter and pitch belong to: `UNF` for 9/16-18; `UN` for what stands in no series. */
export function unifiedSeriesOf(size: string): string {
  return series.get(size) ?? 'UN';
}

/** Every unified size of the library as `9/16-18`. */
export const unifiedSizes: readonly string[] = [...series.keys()];
