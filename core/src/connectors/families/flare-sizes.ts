type InchThread = Readonly<Record<string, { diameter: string; tpi: number }>>;

const table = (rows: Readonly<Record<string, string>>): InchThread =>
  Object.fromEntries(
    Object.entries(rows).map(([dash, text]) => {
      const at = text.lastIndexOf('-');
      return [dash, { diameter: text.slice(0, at), tpi: Number(text.slice(at + 1)) }];
    }),
  );

/** Threads of 37° flare and O-ring boss by dash size. Sources: SAE J514, SAE J1926-1. */
export const inchStraightThreads = table({
  '2': '5/16-24',
  '3': '3/8-24',
  '4': '7/16-20',
  '5': '1/2-20',
  '6': '9/16-18',
  '8': '3/4-16',
  '10': '7/8-14',
  '12': '1 1/16-12',
  '14': '1 3/16-12',
  '16': '1 5/16-12',
  '20': '1 5/8-12',
  '24': '1 7/8-12',
  '32': '2 1/2-12',
});

/** Threads of 45° flare by dash size. Source: SAE J512, from memory. */
export const flare45Threads = table({
  '2': '5/16-24',
  '3': '3/8-24',
  '4': '7/16-20',
  '5': '1/2-20',
  '6': '5/8-18',
  '7': '11/16-16',
  '8': '3/4-16',
  '10': '7/8-14',
  '12': '1 1/16-14',
});

/** Threads of the O-ring face seal by dash size. Source: SAE J1453, from memory. */
export const faceSealThreads = table({
  '4': '9/16-18',
  '6': '11/16-16',
  '8': '13/16-16',
  '10': '1-14',
  '12': '1 3/16-12',
  '16': '1 7/16-12',
  '20': '1 11/16-12',
  '24': '2-12',
});

/** Threads of inverted flare by the tube's outside diameter in inches. Source: SAE J512, from memory. */
export const invertedFlareThreads = table({
  '1/8': '5/16-28',
  '3/16': '3/8-24',
  '1/4': '7/16-24',
  '5/16': '1/2-20',
  '3/8': '5/8-18',
  '7/16': '11/16-18',
  '1/2': '3/4-18',
});
